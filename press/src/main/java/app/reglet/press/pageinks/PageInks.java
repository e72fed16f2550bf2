package app.reglet.press.pageinks;

import app.reglet.press.colour.PixelInks;
import app.reglet.press.reading.Budget;
import java.awt.Paint;
import java.awt.geom.AffineTransform;
import java.awt.geom.Point2D;
import java.io.IOException;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.graphics.color.PDColor;
import org.apache.pdfbox.pdmodel.graphics.color.PDColorSpace;
import org.apache.pdfbox.pdmodel.graphics.color.PDDeviceGray;
import org.apache.pdfbox.pdmodel.graphics.image.PDImage;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.apache.pdfbox.rendering.PageDrawer;
import org.apache.pdfbox.rendering.PageDrawerParameters;

/**
 * Draws a page of a PDF as what its inks leave of the light: cyan, magenta and yellow of red, green
 * and blue, or black of all three. Drawn once for each, a page tells its inks, pixel by pixel. What
 * overprints knocks out here.
 */
public final class PageInks {
  private PageInks() {}

  /**
   * What draws one half of a page's inks. The document is changed, and is of use for nothing else
   * then.
   *
   * @param index of the page, from 0
   * @param screen inks of what is meant for a screen, sRGB
   * @param black whether black is drawn, else the other three
   * @param mostRead pixels that a picture is read with at most, where the renderer may read fewer
   * @throws IOException when the page's resources can't be read
   */
  public static PDFRenderer half(
      PDDocument document, int index, PixelInks screen, boolean black, long mostRead, Budget budget)
      throws IOException {
    PDPage page = document.getPage(index);
    // its own resources: the page is changed, not the node above it
    if (page.getResources() != null) {
      page.setResources(page.getResources());
    }
    PDColorSpace first = InkResources.change(document, page.getCOSObject(), screen, black, budget);
    return new PDFRenderer(document) {
      @Override
      protected PageDrawer createPageDrawer(PageDrawerParameters parameters) throws IOException {
        PageDrawer drawer = new Drawer(parameters, first, mostRead, budget);
        drawer.setAnnotationFilter(a -> false); // what lies on a page is not printed with it
        return drawer;
      }
    };
  }

  /** Draws in the space that stands for a page's first, and asks the budget as it goes on. */
  private static final class Drawer extends PageDrawer {
    private final PDColorSpace first;
    private final long mostRead;
    private final Budget budget;

    Drawer(PageDrawerParameters parameters, PDColorSpace first, long mostRead, Budget budget)
        throws IOException {
      super(parameters);
      this.first = first;
      this.mostRead = mostRead;
      this.budget = budget;
    }

    /** Pictures with more pixels than fit a reader's memory are read more coarsely. */
    @Override
    protected int getSubsampling(PDImage image, AffineTransform at) {
      int by = Math.max(1, super.getSubsampling(image, at));
      while ((long) image.getWidth() * image.getHeight() / by / by > mostRead) {
        by++;
      }
      return by;
    }

    /**
     * Fills with half-covered pixels at the edges of rectangles too, which the renderer leaves out:
     * bars would be as wide as whole pixels. A further beginning makes it none.
     */
    @Override
    public void fillPath(int rule) throws IOException {
      Point2D end = getLinePath().getCurrentPoint();
      if (end != null) {
        getLinePath().moveTo(end.getX(), end.getY());
      }
      super.fillPath(rule);
    }

    @Override
    protected Paint getPaint(PDColor color) throws IOException {
      budget.expectTime();
      return super.getPaint(
          color.getColorSpace() instanceof PDDeviceGray && !color.isPattern()
              ? new PDColor(color.getComponents(), first)
              : color);
    }
  }
}
