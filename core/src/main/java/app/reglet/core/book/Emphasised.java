package app.reglet.core.book;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.commonmark.node.AbstractVisitor;
import org.commonmark.node.Code;
import org.commonmark.node.Emphasis;
import org.commonmark.node.Node;
import org.commonmark.node.SourceSpan;
import org.commonmark.node.StrongEmphasis;
import org.commonmark.parser.IncludeSourceSpans;
import org.commonmark.parser.Parser;

/**
 * A text and what of it is emphasised. Emphasis is marked as in CommonMark 0.31, 6.2: {@code
 * *italic*}, {@code **bold**}, and a backslash before a star that is a star. Nothing else of
 * CommonMark is read: every other character stands for itself.
 *
 * @param text without the marks
 * @param stretches one after the other, over the whole text; none when there is no text
 * @param source where each character of the text stands in what was written, and last how long that
 *     is
 */
public record Emphasised(String text, List<Stretch> stretches, List<Integer> source) {
  private static final Parser PARSER =
      Parser.builder()
          .enabledBlockTypes(Set.of())
          .includeSourceSpans(IncludeSourceSpans.BLOCKS_AND_INLINES)
          .build();

  /** Blank lines part the blocks that emphasis cannot go across. */
  private static final Pattern BLOCK = Pattern.compile("(?s)\\S.*?(?=\\R[^\\S\\n]*\\R|\\z)");

  private static final String MARKS = "*_\\";

  /**
   * A stretch of the text.
   *
   * @param from index of its first character
   * @param to index after its last
   */
  public record Stretch(int from, int to, boolean italic, boolean bold) {}

  /** Reads marks of emphasis. */
  public static Emphasised of(String written) {
    if (written.indexOf('*') < 0 && written.indexOf('_') < 0 && written.indexOf('\\') < 0) {
      return plain(written);
    }
    Marks marks = new Marks(written);
    Matcher blocks = BLOCK.matcher(written);
    while (blocks.find()) {
      marks.read(blocks.start(), blocks.end());
    }
    return marks.text();
  }

  /** A text without emphasis, whatever stands in it. */
  public static Emphasised plain(String text) {
    List<Integer> source = new ArrayList<>(text.length() + 1);
    for (int i = 0; i <= text.length(); i++) {
      source.add(i);
    }
    return new Emphasised(
        text,
        text.isEmpty() ? List.of() : List.of(new Stretch(0, text.length(), false, false)),
        List.copyOf(source));
  }

  /** What must be written to have a text without emphasis: marks are escaped. */
  public static String escaped(String text) {
    return text.replaceAll("([*_\\\\])", "\\\\$1");
  }

  /** Whether some of it is emphasised. */
  public boolean isEmphasised() {
    return stretches.stream().anyMatch(s -> s.italic() || s.bold());
  }

  /** What was found of one text. */
  private static final class Marks extends AbstractVisitor {
    private final String written;
    private final BitSet dropped = new BitSet();
    private final BitSet italic = new BitSet();
    private final BitSet bold = new BitSet();
    private final BitSet literal = new BitSet();
    private int start;

    Marks(String written) {
      this.written = written;
    }

    void read(int from, int to) {
      start = from;
      PARSER.parse(written.substring(from, to)).accept(this);
      for (int i = from; i + 1 < to; i++) {
        if (written.charAt(i) == '\\'
            && !literal.get(i)
            && MARKS.indexOf(written.charAt(i + 1)) >= 0) {
          dropped.set(i++);
        }
      }
    }

    @Override
    public void visit(Emphasis node) {
      emphasised(node, 1, italic);
      visitChildren(node);
    }

    @Override
    public void visit(StrongEmphasis node) {
      emphasised(node, 2, bold);
      visitChildren(node);
    }

    @Override
    public void visit(Code node) {
      literal.set(from(node), to(node));
    }

    private int from(Node node) {
      return start + node.getSourceSpans().get(0).getInputIndex();
    }

    private int to(Node node) {
      SourceSpan last = node.getSourceSpans().get(node.getSourceSpans().size() - 1);
      return start + last.getInputIndex() + last.getLength();
    }

    private void emphasised(Node node, int delimiters, BitSet style) {
      int from = from(node);
      int to = to(node);
      dropped.set(from, from + delimiters);
      dropped.set(to - delimiters, to);
      style.set(from, to);
    }

    Emphasised text() {
      StringBuilder text = new StringBuilder();
      List<Integer> source = new ArrayList<>();
      List<Stretch> stretches = new ArrayList<>();
      for (int i = 0; i < written.length(); i++) {
        if (dropped.get(i)) {
          continue;
        }
        Stretch last = stretches.isEmpty() ? null : stretches.get(stretches.size() - 1);
        int at = text.length();
        if (last != null && last.italic() == italic.get(i) && last.bold() == bold.get(i)) {
          stretches.set(
              stretches.size() - 1, new Stretch(last.from(), at + 1, last.italic(), last.bold()));
        } else {
          stretches.add(new Stretch(at, at + 1, italic.get(i), bold.get(i)));
        }
        text.append(written.charAt(i));
        source.add(i);
      }
      source.add(written.length());
      return new Emphasised(text.toString(), List.copyOf(stretches), List.copyOf(source));
    }
  }
}
