package app.reglet.press.pdf;

import app.reglet.press.picture.ChangedRows;
import app.reglet.press.picture.Rows;

/** Rows as they are, that tell how many pixels of them were taken. */
final class StepRows extends ChangedRows {
  private final Progress progress;

  StepRows(Rows rows, Progress progress) {
    super(rows);
    this.progress = progress;
  }

  @Override
  protected void change(int[] argb, int y) {
    progress.step(argb.length);
  }
}
