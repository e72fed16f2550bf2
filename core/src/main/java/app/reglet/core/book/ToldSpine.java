package app.reglet.core.book;

import app.reglet.core.measure.Length;

/**
 * A spine width that the house stated on the order.
 *
 * @param width the width
 * @param source where it was stated, {@code order form of 3 May}; empty when not noted
 */
public record ToldSpine(Length width, String source) {}
