package app.reglet.press.colour;

/**
 * A printing condition that colours are made for.
 *
 * @param id its short name, as rule sheets give it
 * @param title what people call it
 * @param registered its identifier in the registry of characterisations (http://www.color.org);
 *     empty for a profile that somebody brought
 * @param profile of it
 */
public record Condition(String id, String title, String registered, PressProfile profile) {}
