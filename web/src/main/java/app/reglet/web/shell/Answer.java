package app.reglet.web.shell;

import org.springframework.http.HttpStatus;

/**
 * What is said when something can't be done.
 *
 * @param status of the response
 * @param sentence what is wrong and what to do
 */
public record Answer(HttpStatus status, String sentence) {}
