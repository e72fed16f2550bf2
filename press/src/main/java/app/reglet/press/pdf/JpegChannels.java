package app.reglet.press.pdf;

/** Reads the number of colour channels from a JPEG's frame header (ITU-T T.81, B.2.2). */
final class JpegChannels {
  private JpegChannels() {}

  /** 1 grey, 3 colour, 4 CMYK; 0 when there is no frame header. */
  static int of(byte[] f) {
    int at = 2;
    while (at + 9 < f.length) {
      if ((f[at] & 0xff) != 0xff) {
        return 0;
      }
      int marker = f[at + 1] & 0xff;
      if (marker == 0xff) {
        at++;
        continue;
      }
      boolean frame =
          marker >= 0xc0 && marker <= 0xcf && marker != 0xc4 && marker != 0xc8 && marker != 0xcc;
      if (frame) {
        return f[at + 9] & 0xff;
      }
      at += 2 + ((f[at + 2] & 0xff) << 8 | f[at + 3] & 0xff);
    }
    return 0;
  }
}
