package app.reglet.core.facts;

/**
 * The facts of an edition as somebody typed them: on a docket, a command line, in a list of titles.
 * A fact that was not given is null.
 *
 * @param binding its id
 * @param trim such as {@code 6 x 9 in}
 * @param pages such as {@code 320 pp}
 * @param spread pages that the count may still go either way
 * @param stock the id of the inside's paper
 * @param ink the id of the inside's ink
 * @param turn {@code ltr} or {@code rtl}
 * @param frontFlap a width, {@code none}, or nothing for the house's usual one
 * @param backFlap likewise
 * @param told the spine as the house told it
 * @param toldSource where it told so
 * @param inside whether the inside of the cover is printed too
 */
public record TypedFacts(
    String binding,
    String trim,
    String pages,
    String spread,
    String stock,
    String ink,
    String turn,
    String frontFlap,
    String backFlap,
    String told,
    String toldSource,
    boolean inside) {}
