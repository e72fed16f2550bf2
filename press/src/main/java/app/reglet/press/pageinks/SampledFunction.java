package app.reglet.press.pageinks;

import java.io.IOException;
import java.io.OutputStream;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSInteger;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSStream;

/** Functions of PDF that are tables (ISO 32000-1, 7.10.2), with values of 0 to 1 in 16 bits. */
final class SampledFunction {
  private static final int FULL = 65_535;

  private SampledFunction() {}

  /** What stands in a table. */
  @FunctionalInterface
  interface Values {
    /** The values, 0 to 1, at a place of the domain. */
    float[] at(float[] inputs) throws IOException;
  }

  /**
   * A table.
   *
   * @param domain least and largest of each input
   * @param steps along each input
   * @param outputs how many values there are at each place
   */
  static COSStream of(float[] domain, int steps, int outputs, Values values) throws IOException {
    int inputs = domain.length / 2;
    COSStream table = new COSStream();
    table.setInt(COSName.FUNCTION_TYPE, 0);
    table.setInt(COSName.BITS_PER_SAMPLE, 16);
    COSArray whole = new COSArray();
    whole.setFloatArray(domain);
    table.setItem(COSName.DOMAIN, whole);
    table.setItem(COSName.SIZE, repeated(inputs, COSInteger.get(steps)));
    table.setItem(COSName.RANGE, repeated(outputs, COSInteger.ZERO, COSInteger.ONE));
    byte[] samples = new byte[2 * outputs * (int) Math.pow(steps, inputs)];
    float[] at = new float[inputs];
    for (int n = 0; n < samples.length / outputs / 2; n++) {
      int rest = n; // the first input varies fastest
      for (int i = 0; i < inputs; i++) {
        float share = rest % steps / (steps - 1f);
        at[i] = domain[2 * i] + share * (domain[2 * i + 1] - domain[2 * i]);
        rest /= steps;
      }
      float[] found = values.at(at);
      for (int i = 0; i < outputs; i++) {
        int level = Math.round(Math.max(0, Math.min(1, found[i])) * FULL);
        samples[2 * (n * outputs + i)] = (byte) (level >> 8);
        samples[2 * (n * outputs + i) + 1] = (byte) level;
      }
    }
    try (OutputStream out = table.createOutputStream(COSName.FLATE_DECODE)) {
      out.write(samples);
    }
    return table;
  }

  /** The same entries for each of so many. */
  static COSArray repeated(int times, COSBase... entries) {
    COSArray array = new COSArray();
    for (int i = 0; i < times; i++) {
      for (COSBase entry : entries) {
        array.add(entry);
      }
    }
    return array;
  }
}
