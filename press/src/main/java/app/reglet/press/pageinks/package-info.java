/**
 * Pages of other people's PDFs in the inks of a press: what is written in inks stays as it is
 * written, what is meant for a screen is separated. For press files that carry such a page, and for
 * Inspect.
 */
package app.reglet.press.pageinks;
