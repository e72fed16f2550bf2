package app.reglet.core.house;

/** An inside ink that a house offers. Houses that mean the same call it the same: black, colour. */
public record Ink(String id, String name) implements Choice {}
