package app.reglet.core.house;

/**
 * An inside paper, or an inside ink, that a house offers: the id in documents and the name people
 * read.
 */
public record Stock(String id, String name) {}
