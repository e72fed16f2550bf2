package app.reglet.press.font;

import app.reglet.press.reading.Budget;
import java.nio.ByteBuffer;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/** Writes one face of a font as a plain TrueType file. */
final class FaceWriter {
  /** The layout tables that are taken over, and the kerning of old. */
  private static final List<String> LAYOUT = List.of("GDEF", "GSUB", "GPOS", "kern");

  /** The first id of names that only other tables refer to. */
  private static final int OWN_NAMES = 256;

  /** Copyright, trademark, maker, licence. */
  private static final List<Integer> KEPT = List.of(0, 7, 8, 9, 13, 14);

  private static final int MOST_NAME = 4000;

  private final FontTables font;
  private final double[] place;
  private final FontWriter writer = new FontWriter();
  private final List<String> notes = new ArrayList<>();

  FaceWriter(FontTables font, Axes axes, Map<String, Double> at, int unitsPerEm, Budget budget) {
    this.font = font;
    this.place = axes.isEmpty() ? new double[0] : axes.normalised(at);
    boolean cubic = !font.has("glyf");
    GlyphVariations variations =
        place.length == 0
            ? null
            : font.table("gvar").map(t -> new GlyphVariations(t, place)).orElse(null);
    Outlines outlines =
        cubic
            ? new CffOutlines(font, unitsPerEm, budget)
            : new GlyfOutlines(font, variations, budget);
    TreeMap<Integer, Integer> characters = Characters.of(font, outlines.count());
    if (characters.isEmpty()) {
      throw Damaged.font("it has no glyph for any character.");
    }
    writer
        .glyphs(font, outlines, unitsPerEm, FontStyle.isItalic(font, at))
        .characters(characters)
        .post(font)
        .table("OS/2", os2(FontStyle.weight(font, at)));
  }

  /** The names it gets: its own rights, its family and style, those its features are called by. */
  void named(FontNames names, String family, String style, boolean italic) {
    Map<Integer, String> written = new TreeMap<>();
    names
        .all()
        .forEach(
            (id, name) -> {
              if (KEPT.contains(id) || id >= OWN_NAMES) {
                written.put(id, name.length() > MOST_NAME ? name.substring(0, MOST_NAME) : name);
              }
            });
    String full = family + " " + style;
    written.put(FontNames.FAMILY, full);
    written.put(FontNames.STYLE, italic ? "Italic" : "Regular");
    written.put(3, full);
    written.put(FontNames.FULL, full);
    written.put(5, names.name(5).orElse("Version 1.0"));
    String plain = full.replaceAll("[^A-Za-z0-9]", "");
    written.put(6, plain.isEmpty() ? "Font" : plain.substring(0, Math.min(60, plain.length())));
    written.put(FontNames.FAMILY_OF_MANY, family);
    written.put(FontNames.STYLE_OF_MANY, style);
    writer.names(written);
  }

  /** What of it could not be taken over, a sentence each. */
  List<String> notes() {
    return notes;
  }

  /**
   * The file.
   *
   * @param layout with kerning, ligatures and forms
   */
  byte[] file(boolean layout) {
    for (String tag : LAYOUT) {
      writer.table(tag, null);
    }
    if (layout) {
      try {
        layout();
      } catch (IndexOutOfBoundsException | IllegalArgumentException e) {
        notes.add("Its kerning, ligatures and forms are damaged and left out.");
        return file(false);
      }
    }
    return writer.file();
  }

  private void layout() {
    for (String tag : LAYOUT) {
      font.bytes(tag).ifPresent(bytes -> writer.table(tag, bytes));
    }
    if (place.length == 0) {
      return;
    }
    byte[] gdef = font.bytes("GDEF").orElse(null);
    if (gdef != null && gdef.length >= 18 && ByteBuffer.wrap(gdef).getInt(0) >= 0x10003) {
      ByteBuffer t = ByteBuffer.wrap(gdef);
      int store = t.getInt(14);
      if (store != 0) {
        ItemVariations changes = new ItemVariations(t.slice(store, gdef.length - store), place);
        font.bytes("GPOS")
            .ifPresent(
                gpos -> {
                  LayoutVariations.fix(gpos, changes);
                  writer.table("GPOS", gpos);
                });
        t.putInt(14, 0);
        writer.table("GDEF", gdef);
      }
    }
    font.bytes("GSUB")
        .ifPresent(
            gsub -> {
              if (!LayoutVariations.choose(gsub, place)) {
                notes.add("Forms that it changes with its axes are those of its usual cut.");
              }
              writer.table("GSUB", gsub);
            });
  }

  /** With as many fields as there are bytes of them, and the weight at the place. */
  private byte[] os2(int weight) {
    byte[] was = font.bytes("OS/2").orElse(new byte[0]);
    int version = was.length < 78 ? 0 : ByteBuffer.wrap(was).getShort(0) & 0xffff;
    int fits = was.length >= 96 ? 4 : was.length >= 86 ? 1 : 0;
    int kept = Math.min(version, fits);
    byte[] made = java.util.Arrays.copyOf(was, kept == 0 ? 78 : kept == 1 ? 86 : 96);
    ByteBuffer.wrap(made).putShort((short) kept).putShort(4, (short) weight);
    return made;
  }
}
