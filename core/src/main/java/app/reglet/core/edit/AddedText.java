package app.reglet.core.edit;

import java.util.Locale;

/** What was put on, in words. */
final class AddedText implements Addition.Kinds<String> {
  @Override
  public String words(Addition.AddWords e) {
    return "words on the "
        + e.panel().title().toLowerCase(Locale.ROOT)
        + (e.fact() == null ? "" : ": " + e.fact().title().toLowerCase(Locale.ROOT));
  }

  @Override
  public String band(Addition.AddBand e) {
    return "band";
  }

  @Override
  public String shape(Addition.AddShape e) {
    return e.name().toLowerCase(Locale.ROOT)
        + " on the "
        + e.panel().title().toLowerCase(Locale.ROOT);
  }

  @Override
  public String line(Addition.AddLine e) {
    return "spine line";
  }

  @Override
  public String frame(Addition.AddFrame e) {
    return "frame round "
        + (e.panel() == null
            ? "the whole cover"
            : "the " + e.panel().title().toLowerCase(Locale.ROOT));
  }

  @Override
  public String ornament(Addition.AddOrnament e) {
    return "ornament " + e.name().toLowerCase(Locale.ROOT);
  }

  @Override
  public String pattern(Addition.AddPattern e) {
    return "pattern on the " + e.panel().title().toLowerCase(Locale.ROOT);
  }

  @Override
  public String subject(Addition.AddSubject e) {
    return "Subject set apart";
  }

  @Override
  public String picture(Addition.AddPicture e) {
    return "picture " + e.name();
  }

  @Override
  public String page(Addition.AddPage e) {
    return "page " + e.number() + " of " + e.name();
  }

  @Override
  public String barcode(Addition.AddBarcode e) {
    return "barcode";
  }
}
