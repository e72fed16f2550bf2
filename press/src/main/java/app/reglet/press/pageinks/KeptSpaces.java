package app.reglet.press.pageinks;

import java.util.IdentityHashMap;
import java.util.Map;
import org.apache.pdfbox.cos.COSObject;
import org.apache.pdfbox.pdmodel.DefaultResourceCache;
import org.apache.pdfbox.pdmodel.graphics.color.PDColorSpace;

/** A cache of resources that forgets no colour space: what it holds has no other place. */
final class KeptSpaces extends DefaultResourceCache {
  private final Map<COSObject, PDColorSpace> spaces = new IdentityHashMap<>();

  @Override
  public PDColorSpace getColorSpace(COSObject indirect) {
    return spaces.get(indirect);
  }

  @Override
  public void put(COSObject indirect, PDColorSpace space) {
    spaces.put(indirect, space);
  }
}
