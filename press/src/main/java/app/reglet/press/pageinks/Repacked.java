package app.reglet.press.pageinks;

import java.io.IOException;
import org.apache.pdfbox.cos.COSStream;

/** How pixels in inks are packed into a press file. */
@FunctionalInterface
public interface Repacked {
  /**
   * An image object of DeviceCMYK, eight bits an ink, without a mask.
   *
   * @param width pixels of a row
   * @param height rows
   * @param inks four bytes a pixel, 0 none to 255 full: cyan, magenta, yellow, black
   * @param photo whether it was packed with loss before, and may be so again
   */
  COSStream pack(int width, int height, byte[] inks, boolean photo) throws IOException;
}
