package app.reglet.web.titles;

import app.reglet.core.check.Finding;

/**
 * A finding that somebody lets be.
 *
 * @param id of that
 * @param reason why
 * @param person who; empty while nobody signs in
 */
public record LetBe(Long id, Finding finding, String reason, String person) {}
