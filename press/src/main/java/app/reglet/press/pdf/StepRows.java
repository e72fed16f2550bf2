package app.reglet.press.pdf;

import app.reglet.press.picture.Rows;
import java.io.IOException;

/** Rows that tell how many pixels of them were taken. */
record StepRows(Rows rows, Progress progress) implements Rows {
  @Override
  public int width() {
    return rows.width();
  }

  @Override
  public int height() {
    return rows.height();
  }

  @Override
  public boolean mayBeClear() {
    return rows.mayBeClear();
  }

  @Override
  public void next(int[] argb) throws IOException {
    rows.next(argb);
    progress.step(rows.width());
  }

  @Override
  public void close() throws IOException {
    rows.close();
  }
}
