package app.reglet.press.art;

import app.reglet.press.reading.FileBytes;

/**
 * A page of a PDF, placed as it is.
 *
 * @param sha the SHA-256 of the file
 * @param file the file
 * @param page counted from 0
 */
public record PlacedPage(String sha, FileBytes file, int page) {}
