package app.reglet.press.type;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.BitSet;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;

/**
 * Where the words of a language may be parted, by patterns of letters with figures between them:
 * odd ones part, even ones don't, and the highest has its way (F. M. Liang, Word Hy-phen-a-tion by
 * Com-put-er, 1983). The patterns are those published for the languages; see {@code
 * hyphenation/NOTICES.txt}.
 */
public final class Hyphenation {
  private static final Map<String, Language> LANGUAGES = languages();
  private static final Map<String, Hyphenation> READ = new ConcurrentHashMap<>();

  private final Map<String, byte[]> patterns = new HashMap<>();
  private final Map<String, BitSet> exceptions = new HashMap<>();
  private final int before;
  private final int after;
  private int longest;

  /**
   * A language with patterns.
   *
   * @param tag BCP 47, {@code en-US}
   * @param name in English
   * @param file its patterns' name
   * @param before least letters before a hyphen
   * @param after least letters after it
   */
  public record Language(String tag, String name, String file, int before, int after) {}

  private Hyphenation(Language language) {
    before = language.before();
    after = language.after();
    text(language.file() + ".pat.txt").ifPresent(t -> t.lines().forEach(this::pattern));
    text(language.file() + ".hyp.txt").ifPresent(t -> t.lines().forEach(this::exception));
  }

  /** The languages there are patterns for, by their names. */
  public static List<Language> known() {
    return LANGUAGES.values().stream().toList();
  }

  /**
   * The rules of a language.
   *
   * @param tag BCP 47; a region without patterns of its own has those of its language
   */
  public static Optional<Hyphenation> of(String tag) {
    Language found =
        LANGUAGES.getOrDefault(
            tag.toLowerCase(Locale.ROOT),
            LANGUAGES.get(Locale.forLanguageTag(tag).getLanguage().toLowerCase(Locale.ROOT)));
    return Optional.ofNullable(found)
        .map(l -> READ.computeIfAbsent(l.tag(), t -> new Hyphenation(l)));
  }

  private static Map<String, Language> languages() {
    Map<String, Language> all = new LinkedHashMap<>();
    text("languages.txt")
        .orElseThrow(() -> new IllegalStateException("The list of languages is not in the jar"))
        .lines()
        .filter(l -> !l.startsWith("#"))
        .map(l -> l.split("\t"))
        .map(f -> new Language(f[0], f[4], f[1], Integer.parseInt(f[2]), Integer.parseInt(f[3])))
        .sorted(java.util.Comparator.comparing(Language::name))
        .forEach(l -> all.put(l.tag().toLowerCase(Locale.ROOT), l));
    return all;
  }

  private static Optional<String> text(String file) {
    try (InputStream in = Hyphenation.class.getResourceAsStream("/hyphenation/" + file)) {
      return in == null
          ? Optional.empty()
          : Optional.of(new String(in.readAllBytes(), StandardCharsets.UTF_8));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private void pattern(String line) {
    String written = line.strip();
    if (written.isEmpty()) {
      return;
    }
    StringBuilder letters = new StringBuilder();
    byte[] figures = new byte[written.length() + 1];
    for (int i = 0; i < written.length(); i++) {
      char c = written.charAt(i);
      if (c >= '0' && c <= '9') {
        figures[letters.length()] = (byte) (c - '0');
      } else {
        letters.append(c);
      }
    }
    longest = Math.max(longest, letters.length());
    patterns.put(letters.toString(), Arrays.copyOf(figures, letters.length() + 1));
  }

  private void exception(String line) {
    StringBuilder letters = new StringBuilder();
    BitSet parts = new BitSet();
    for (char c : line.strip().toCharArray()) {
      if (c == '-') {
        parts.set(letters.length());
      } else {
        letters.append(c);
      }
    }
    exceptions.put(letters.toString(), parts);
  }

  /**
   * Where a word may be parted.
   *
   * @param word letters alone
   * @return indices of the letters that may begin a new line, in their order
   */
  public int[] parts(String word) {
    String small = word.toLowerCase(Locale.ROOT);
    if (small.length() != word.length() || small.length() < before + after) {
      return new int[0];
    }
    BitSet known = exceptions.get(small);
    if (known != null) {
      return known.stream().toArray();
    }
    String framed = "." + small.replace('’', '\'') + ".";
    byte[] highest = new byte[framed.length() + 1];
    for (int from = 0; from < framed.length(); from++) {
      for (int to = from + 1; to <= Math.min(framed.length(), from + longest); to++) {
        byte[] figures = patterns.get(framed.substring(from, to));
        for (int i = 0; figures != null && i < figures.length; i++) {
          highest[from + i] = (byte) Math.max(highest[from + i], figures[i]);
        }
      }
    }
    BitSet parts = new BitSet();
    for (int i = before; i <= small.length() - after; i++) {
      if ((highest[i + 1] & 1) == 1) {
        parts.set(i);
      }
    }
    return parts.stream().toArray();
  }
}
