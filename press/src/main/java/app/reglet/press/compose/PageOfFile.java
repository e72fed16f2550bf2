package app.reglet.press.compose;

import app.reglet.press.art.PlacedPage;
import app.reglet.press.inspect.PdfPage;

/** A page of a PDF that was brought, and what is known of it. */
public record PageOfFile(PlacedPage page, PdfPage about) {}
