package app.reglet.press.picture;

import java.io.IOException;

/** Rows of which every pixel is made another by itself. */
public abstract class ChangedRows implements Rows {
  private final Rows rows;
  private int y;

  protected ChangedRows(Rows rows) {
    this.rows = rows;
  }

  /** Changes the pixels of a row, which is the y-th from the top. */
  protected abstract void change(int[] argb, int y);

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
  public boolean isInks() {
    return rows.isInks();
  }

  @Override
  public void next(int[] argb) throws IOException {
    rows.next(argb);
    change(argb, y++);
  }

  @Override
  public void close() throws IOException {
    rows.close();
  }
}
