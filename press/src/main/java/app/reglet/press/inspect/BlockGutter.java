package app.reglet.press.inspect;

import app.reglet.core.book.PageTurn;
import app.reglet.core.measure.Length;
import app.reglet.core.wrap.BlockPage;
import app.reglet.core.wrap.Wrap;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * Words of a book block that stand nearer to the spine than {@link BlockPage} wants; {@link
 * BlockFitText} makes the sentence.
 *
 * @param page the one on which they come nearest
 * @param nearest how near that is
 * @param wanted how far they should be
 * @param nearer on how many of the pages looked at they are nearer than that
 * @param looked how many were looked at and have words
 */
public record BlockGutter(int page, Length nearest, Length wanted, int nearer, int looked) {
  /** What is found in a file for a measured cover; empty where all is far enough. */
  public static Optional<BlockGutter> of(BlockFacts file, Wrap outside) {
    List<BlockPage> pages = BlockPage.of(outside);
    if (pages.isEmpty()) {
      return Optional.empty();
    }
    Length wanted = pages.get(0).gutter();
    PageTurn turn = outside.spec().turn();
    List<BlockFacts.Margins> nearer =
        file.margins().stream()
            .filter(m -> inner(m, turn).plus(BlockFit.TOLERANCE).isLessThan(wanted))
            .toList();
    return nearer.stream()
        .min(Comparator.comparingDouble(m -> inner(m, turn).toMm()))
        .map(
            m ->
                new BlockGutter(
                    m.page(), inner(m, turn), wanted, nearer.size(), file.margins().size()));
  }

  private static Length inner(BlockFacts.Margins m, PageTurn turn) {
    return BlockPage.isRight(m.page(), turn) ? m.left() : m.right();
  }
}
