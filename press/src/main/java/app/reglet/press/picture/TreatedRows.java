package app.reglet.press.picture;

/** Rows with a treatment. */
final class TreatedRows extends ChangedRows {
  private final Pixel pixel;

  TreatedRows(Rows rows, Treating treating) {
    super(rows);
    this.pixel = treating.pixels();
  }

  @Override
  protected void change(int[] argb, int y) {
    pixel.row(argb, y, height());
  }
}
