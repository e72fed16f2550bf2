package app.reglet.web.bench;

/** The tray's form for words, as typed. */
public record WordsForm(
    String name,
    String source,
    String text,
    String face,
    String size,
    String fit,
    String colour,
    String align,
    String stand,
    String leading,
    String capitals,
    String tracking,
    String turn) {}
