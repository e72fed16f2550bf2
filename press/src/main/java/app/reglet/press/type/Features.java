package app.reglet.press.type;

import app.reglet.core.design.DesignLimits;
import app.reglet.press.font.FontNames;
import app.reglet.press.font.FontTables;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.regex.Pattern;
import java.util.stream.IntStream;

/**
 * The features of a font that replace glyphs and that people choose: small capitals, figures,
 * stylistic sets (OpenType layout tags, ISO/IEC 14496-22, 6.4.3). AWT shapes with the features that
 * are always on; to put another to use, the font is given to it with that feature under a tag that
 * HarfBuzz always applies.
 */
final class Features {
  /**
   * Tags applied to every text: four that HarfBuzz keeps for trials, then those of features that
   * fonts of few scripts have; a tag that the font itself has is not taken.
   */
  private static final List<String> ALWAYS =
      List.of("Harf", "HARF", "Buzz", "BUZZ", "rclt", "dist", "abvm", "blwm");

  private static final Map<String, String> NAMES =
      Map.ofEntries(
          Map.entry("smcp", "Small capitals"),
          Map.entry("c2sc", "Small capitals for capitals"),
          Map.entry("lnum", "Figures as high as capitals"),
          Map.entry("onum", "Figures with ascenders and descenders"),
          Map.entry("pnum", "Figures of their own widths"),
          Map.entry("tnum", "Figures of one width"),
          Map.entry("swsh", "Swashes"),
          Map.entry("salt", "Other forms"),
          Map.entry("dlig", "Rarer ligatures"),
          Map.entry("hlig", "Ligatures of old"),
          Map.entry("titl", "Forms for titles"),
          Map.entry("case", "Marks at the height of capitals"),
          Map.entry("zero", "Nought with a stroke"));

  private static final Pattern CHOSEN = Pattern.compile("ss(0[1-9]|1\\d|20)|cv\\d\\d");
  private static final int RECORD = 6;

  private Features() {}

  /** The features people can choose, with what they are called; a font's own names have it. */
  static Map<String, String> of(FontTables font) {
    Map<String, String> found = new TreeMap<>();
    ByteBuffer gsub = font.table("GSUB").orElse(null);
    if (gsub == null || gsub.capacity() < 10) {
      return found;
    }
    int list = gsub.getShort(6) & 0xffff;
    int count = gsub.getShort(list) & 0xffff;
    for (int i = 0; i < count; i++) {
      int at = list + 2 + i * RECORD;
      String tag = tag(gsub, at);
      if (NAMES.containsKey(tag)) {
        found.put(tag, NAMES.get(tag));
      } else if (CHOSEN.matcher(tag).matches()) {
        int feature = list + (gsub.getShort(at + 4) & 0xffff);
        found.putIfAbsent(tag, named(font, gsub, feature, tag));
      }
    }
    return found;
  }

  private static String tag(ByteBuffer gsub, int at) {
    byte[] tag = new byte[4];
    gsub.get(at, tag);
    return new String(tag, StandardCharsets.ISO_8859_1);
  }

  /** A stylistic set may bring a name: format 0 of its parameters holds a name's id. */
  private static String named(FontTables font, ByteBuffer gsub, int feature, String tag) {
    String plain =
        (tag.startsWith("ss") ? "Stylistic set " : "Variant of a character ")
            + Integer.parseInt(tag.substring(2));
    int parameters = gsub.getShort(feature) & 0xffff;
    if (parameters == 0 || feature + parameters + 4 > gsub.capacity()) {
      return plain;
    }
    int id = gsub.getShort(feature + parameters + 2) & 0xffff;
    return FontNames.of(font).brief(id).map(n -> plain + ": " + n).orElse(plain);
  }

  /**
   * The font with some features always on.
   *
   * @param wanted tags, {@link DesignLimits#MOST_FORMS} and those of small capitals at most; those
   *     it hasn't are passed over
   */
  static byte[] always(byte[] file, Collection<String> wanted) {
    FontTables font = new FontTables(file);
    Optional<ByteBuffer> found = font.table("GSUB");
    byte[] changed = file.clone();
    if (found.isEmpty()) {
      return changed;
    }
    ByteBuffer gsub = found.get();
    List<String> has = wanted.stream().filter(Set.copyOf(of(font).keySet())::contains).toList();
    int list = gsub.getShort(6) & 0xffff;
    int count = gsub.getShort(list) & 0xffff;
    List<String> tags =
        IntStream.range(0, count).mapToObj(i -> tag(gsub, list + 2 + i * RECORD)).toList();
    List<String> free = ALWAYS.stream().filter(t -> !tags.contains(t)).toList();
    for (int i = 0; i < count; i++) {
      int at = list + 2 + i * RECORD;
      int n = has.indexOf(tags.get(i));
      if (n >= 0 && n < free.size()) {
        byte[] always = free.get(n).getBytes(StandardCharsets.ISO_8859_1);
        System.arraycopy(always, 0, changed, gsub.arrayOffset() + at, always.length);
      }
    }
    return changed;
  }
}
