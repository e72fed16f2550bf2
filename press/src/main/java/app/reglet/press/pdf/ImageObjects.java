package app.reglet.press.pdf;

import app.reglet.press.art.Pixels;
import java.io.IOException;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.graphics.image.PDImageXObject;

/** The images of a document, in the colours that it has. */
interface ImageObjects {
  PDImageXObject of(Pixels.Stored stored) throws IOException;

  PDImageXObject of(Pixels.Made made) throws IOException;

  PDImageXObject of(Pixels.Drawn drawn) throws IOException;

  /** Pixels whose lightness says how much of something else is seen. */
  PDImageXObject mask(Pixels.Made made) throws IOException;

  /** The space in which what shows through is mixed. */
  COSName mixedIn();
}
