package app.reglet.press.pdf;

import app.reglet.press.picture.Rows;
import java.util.function.DoubleConsumer;

/**
 * How far the making of a file is, by the pixels that are done. Whoever is told may end it by
 * throwing something.
 */
public final class Progress {
  private final DoubleConsumer told;
  private long all;
  private long done;

  /**
   * @param told of the share that is done, 0 to 1
   */
  public Progress(DoubleConsumer told) {
    this.told = told;
  }

  /** Told to nobody. */
  public static Progress none() {
    return new Progress(share -> {});
  }

  /** Rows that are all there is to do: how far it is shows as they are taken. */
  public Rows through(Rows rows) {
    expect((long) rows.width() * rows.height());
    return new StepRows(rows, this);
  }

  void expect(long pixels) {
    all += pixels;
  }

  void step(long pixels) {
    done += pixels;
    told.accept(all == 0 ? 0 : Math.min(1, (double) done / all));
  }
}
