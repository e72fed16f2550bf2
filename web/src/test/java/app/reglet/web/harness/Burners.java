package app.reglet.web.harness;

import java.io.ByteArrayOutputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.zip.CRC32;
import java.util.zip.Deflater;
import java.util.zip.DeflaterOutputStream;

/** Small files that cost much, made by hand: each is a way that was found to burn a reader. */
public final class Burners {
  private Burners() {}

  /** PDFs by name. */
  public static Map<String, byte[]> pdfs() throws IOException {
    Map<String, byte[]> all = new LinkedHashMap<>();
    all.put("form-names-itself.pdf", formNamesItself());
    all.put("page-trees-5000-deep.pdf", nestedPageTrees(5000));
    all.put("page-tree-leads-back.pdf", pageTreeLeadsBack());
    all.put("arrays-100000-deep.pdf", nestedArrays(100_000));
    all.put("object-stream-bomb.pdf", objectStreamBomb());
    all.put("xref-leads-back.pdf", xrefLeadsBack());
    all.put("length-of-itself.pdf", lengthOfItself());
    all.put("pages-200000.pdf", manyPages(200_001));
    return all;
  }

  /** Pictures by name. */
  public static Map<String, byte[]> pictures() throws IOException {
    Map<String, byte[]> all = new LinkedHashMap<>();
    all.put("scans-20000.jpg", jpegOfScans(20_000));
    all.put("says-4-gigapixels.png", png(65_000, 65_000, 8, 2, false, 10));
    all.put("interlaced-98-megapixels.png", png(9_900, 9_900, 8, 2, true, 10));
    all.put("truncated-98-megapixels.png", png(9_900, 9_900, 16, 6, false, 10));
    all.put("text-chunk-bomb.png", pngWithTextBomb());
    all.put("tiff-of-two-billion-entries.tif", tiffOfEntries());
    all.put("tiff-leads-back.tif", tiffLeadsBack());
    return all;
  }

  /** Rule sheets by name. */
  public static Map<String, byte[]> sheets() {
    Map<String, byte[]> all = new LinkedHashMap<>();
    String begin =
        "{\"format\":\"reglet-rule-sheet/1\",\"id\":\"x\",\"name\":\"X\",\"unit\":\"in\",";
    for (String number :
        List.of("1e999999999", "-1e999999999", "1e-999999999", "9".repeat(50_000))) {
      all.put(
          "number " + number.substring(0, Math.min(20, number.length())) + ".json",
          (begin + "\"files\":{\"wantedPpi\":" + number + "}}").getBytes(StandardCharsets.UTF_8));
    }
    all.put(
        "list-of-300000.json", (begin + "\"stocks\":[" + "1,".repeat(300_000) + "1]}").getBytes());
    all.put("lists-100000-deep.json", (begin + "\"stocks\":" + "[".repeat(100_000)).getBytes());
    all.put("one-name-of-900000.json", (begin + "\"" + "n".repeat(900_000) + "\":1}").getBytes());
    StringBuilder names = new StringBuilder(begin);
    for (int i = 0; i < 60_000; i++) {
      names.append("\"f").append(i).append("\":1,");
    }
    all.put("60000-fields.json", names.append("\"z\":1}").toString().getBytes());
    return all;
  }

  private static byte[] pdf(List<String> objects) {
    StringBuilder out = new StringBuilder("%PDF-1.6\n");
    List<Integer> offsets = new ArrayList<>();
    for (int i = 0; i < objects.size(); i++) {
      offsets.add(out.length());
      out.append(i + 1).append(" 0 obj\n").append(objects.get(i)).append("\nendobj\n");
    }
    int xref = out.length();
    out.append("xref\n0 ").append(objects.size() + 1).append("\n0000000000 65535 f \n");
    for (int offset : offsets) {
      out.append(String.format("%010d 00000 n \n", offset));
    }
    out.append("trailer\n<</Size ")
        .append(objects.size() + 1)
        .append("/Root 1 0 R>>\nstartxref\n")
        .append(xref)
        .append("\n%%EOF\n");
    return out.toString().getBytes(StandardCharsets.ISO_8859_1);
  }

  /** A form whose resources name it twenty times: a walk without memory never ends. */
  static byte[] formNamesItself() {
    StringBuilder names = new StringBuilder();
    for (int i = 0; i < 20; i++) {
      names.append("/F").append(i).append(" 4 0 R");
    }
    return pdf(
        List.of(
            "<</Type/Catalog/Pages 2 0 R>>",
            "<</Type/Pages/Kids[3 0 R]/Count 1>>",
            "<</Type/Page/Parent 2 0 R/MediaBox[0 0 432 648]/Resources<</XObject<</X 4 0 R>>>>>>",
            "<</Type/XObject/Subtype/Form/BBox[0 0 9 9]/Resources<</XObject<<"
                + names
                + ">>>>/Length 0>>\nstream\n\nendstream"));
  }

  static byte[] nestedPageTrees(int deep) {
    List<String> objects = new ArrayList<>(List.of("<</Type/Catalog/Pages 2 0 R>>"));
    for (int i = 0; i < deep; i++) {
      objects.add("<</Type/Pages/Kids[" + (i + 3) + " 0 R]/Count 1>>");
    }
    objects.add("<</Type/Page/MediaBox[0 0 432 648]>>");
    return pdf(objects);
  }

  static byte[] pageTreeLeadsBack() {
    return pdf(
        List.of(
            "<</Type/Catalog/Pages 2 0 R>>",
            "<</Type/Pages/Kids[2 0 R 2 0 R 3 0 R]/Count 3>>",
            "<</Type/Pages/Kids[2 0 R 3 0 R]/Count 2>>"));
  }

  static byte[] nestedArrays(int deep) {
    return pdf(
        List.of(
            "<</Type/Catalog/Pages 2 0 R/X " + "[".repeat(deep) + "]".repeat(deep) + ">>",
            "<</Type/Pages/Kids[3 0 R]/Count 1>>",
            "<</Type/Page/Parent 2 0 R/MediaBox[0 0 432 648]>>"));
  }

  static byte[] manyPages(int pages) {
    return pdf(
        List.of(
            "<</Type/Catalog/Pages 2 0 R>>",
            "<</Type/Pages/Kids["
                + "<</Type/Page/MediaBox[0 0 9 9]>>".repeat(pages)
                + "]/Count "
                + pages
                + ">>"));
  }

  /** An object stream of a few hundred kilobytes that unpacks to hundreds of megabytes. */
  static byte[] objectStreamBomb() throws IOException {
    ByteArrayOutputStream packed = new ByteArrayOutputStream();
    try (DeflaterOutputStream out =
        new DeflaterOutputStream(packed, new Deflater(Deflater.BEST_COMPRESSION))) {
      byte[] spaces = new byte[1 << 20];
      java.util.Arrays.fill(spaces, (byte) ' ');
      out.write("1 0 <</Type/Catalog/Pages 2 0 R>> ".getBytes(StandardCharsets.US_ASCII));
      for (int i = 0; i < 600; i++) {
        out.write(spaces);
      }
    }
    ByteArrayOutputStream file = new ByteArrayOutputStream();
    file.write("%PDF-1.6\n".getBytes());
    int at = file.size();
    file.write(
        ("5 0 obj\n<</Type/ObjStm/N 1/First 4/Filter/FlateDecode/Length "
                + packed.size()
                + ">>\nstream\n")
            .getBytes());
    packed.writeTo(file);
    file.write("\nendstream\nendobj\n".getBytes());
    int xref = file.size();
    byte[] table = {
      0,
      0,
      0,
      0,
      0,
      0,
      2,
      0,
      0,
      0,
      5,
      0,
      1,
      (byte) (at >> 24),
      (byte) (at >> 16),
      (byte) (at >> 8),
      (byte) at,
      0
    };
    file.write(
        ("6 0 obj\n<</Type/XRef/Size 3/W[1 4 1]/Index[0 2 5 1]/Root 1 0 R/Length "
                + table.length
                + ">>\nstream\n")
            .getBytes());
    file.write(table);
    file.write(("\nendstream\nendobj\nstartxref\n" + xref + "\n%%EOF\n").getBytes());
    return file.toByteArray();
  }

  static byte[] xrefLeadsBack() {
    String body =
        "%PDF-1.4\n1 0 obj\n<</Type/Catalog/Pages 2 0 R>>\nendobj\n2 0 obj\n<</Type/Pages/Kids[]/Count 0>>\nendobj\n";
    return (body
            + "xref\n0 1\n0000000000 65535 f \ntrailer\n<</Size 3/Root 1 0 R/Prev "
            + body.length()
            + ">>\nstartxref\n"
            + body.length()
            + "\n%%EOF\n")
        .getBytes(StandardCharsets.ISO_8859_1);
  }

  static byte[] lengthOfItself() {
    return pdf(
        List.of(
            "<</Type/Catalog/Pages 2 0 R>>",
            "<</Type/Pages/Kids[3 0 R]/Count 1>>",
            "<</Type/Page/Parent 2 0 R/MediaBox[0 0 432 648]/Contents 4 0 R>>",
            "<</Length 4 0 R>>\nstream\nx\nendstream"));
  }

  /**
   * A progressive JPEG of 512 × 512 pixels in as many scans as asked for, each coded by one huge
   * run of empty blocks (ITU-T T.81, G.1.2.2).
   */
  static byte[] jpegOfScans(int scans) throws IOException {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    DataOutputStream out = new DataOutputStream(bytes);
    out.writeShort(0xffd8);
    out.writeShort(0xffdb);
    out.writeShort(67);
    out.writeByte(0);
    for (int i = 0; i < 64; i++) {
      out.writeByte(1);
    }
    out.writeShort(0xffc2);
    out.writeShort(11);
    out.writeByte(8);
    out.writeShort(4096);
    out.writeShort(4096);
    out.writeByte(1);
    out.writeByte(1);
    out.writeByte(0x11);
    out.writeByte(0);
    for (int table : new int[] {0x00, 0x10}) {
      out.writeShort(0xffc4);
      out.writeShort(20);
      out.writeByte(table);
      out.writeByte(1); // one code of one bit
      for (int i = 1; i < 16; i++) {
        out.writeByte(0);
      }
      out.writeByte(table == 0 ? 0 : 0xe0); // a run of 2^14 blocks without coefficients
    }
    for (int s = 0; s < scans; s++) {
      out.writeShort(0xffda);
      out.writeShort(8);
      out.writeByte(1);
      out.writeByte(1);
      out.writeByte(0x00);
      boolean first = s == 0;
      out.writeByte(first ? 0 : 1); // Ss
      out.writeByte(first ? 0 : 63); // Se
      out.writeByte(0);
      for (int i = 0; i < 12; i++) {
        out.writeByte(0);
      }
    }
    out.writeShort(0xffd9);
    return bytes.toByteArray();
  }

  /** A PNG that says it is so large, with so many rows of pixels that are really there. */
  static byte[] png(int w, int h, int depth, int colour, boolean interlaced, int rows)
      throws IOException {
    ByteArrayOutputStream head = new ByteArrayOutputStream();
    DataOutputStream d = new DataOutputStream(head);
    d.writeInt(w);
    d.writeInt(h);
    d.write(new byte[] {(byte) depth, (byte) colour, 0, 0, (byte) (interlaced ? 1 : 0)});
    ByteArrayOutputStream pixels = new ByteArrayOutputStream();
    try (DeflaterOutputStream out = new DeflaterOutputStream(pixels)) {
      byte[] row = new byte[1 + w * (colour == 6 ? 4 : colour == 0 ? 1 : 3) * depth / 8];
      for (int i = 0; i < rows; i++) {
        out.write(row);
      }
    }
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    out.write(new byte[] {(byte) 0x89, 'P', 'N', 'G', 13, 10, 26, 10});
    chunk(out, "IHDR", head.toByteArray());
    chunk(out, "IDAT", pixels.toByteArray());
    chunk(out, "IEND", new byte[0]);
    return out.toByteArray();
  }

  private static byte[] pngWithTextBomb() throws IOException {
    ByteArrayOutputStream text = new ByteArrayOutputStream();
    text.write("Comment\0\0".getBytes(StandardCharsets.ISO_8859_1));
    try (DeflaterOutputStream out = new DeflaterOutputStream(text)) {
      byte[] letters = new byte[1 << 20];
      for (int i = 0; i < 700; i++) {
        out.write(letters);
      }
    }
    byte[] plain = png(10, 10, 8, 2, false, 10);
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    out.write(plain, 0, 33);
    chunk(out, "zTXt", text.toByteArray());
    out.write(plain, 33, plain.length - 33);
    return out.toByteArray();
  }

  /** Writes a chunk of a PNG (ISO/IEC 15948, 5.3). */
  static void chunk(ByteArrayOutputStream out, String type, byte[] data) throws IOException {
    DataOutputStream d = new DataOutputStream(out);
    byte[] name = type.getBytes(StandardCharsets.US_ASCII);
    d.writeInt(data.length);
    d.write(name);
    d.write(data);
    CRC32 crc = new CRC32();
    crc.update(name);
    crc.update(data);
    d.writeInt((int) crc.getValue());
  }

  /** A TIFF one of whose entries says that it holds two thousand million values. */
  private static byte[] tiffOfEntries() throws IOException {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    DataOutputStream out = new DataOutputStream(bytes);
    out.writeInt(0x4d4d002a);
    out.writeInt(8);
    out.writeShort(4);
    for (int[] e :
        new int[][] {
          {256, 4, 1, 10}, {257, 4, 1, 10}, {273, 4, 2_000_000_000, 8}, {279, 4, 2_000_000_000, 8}
        }) {
      out.writeShort(e[0]);
      out.writeShort(e[1]);
      out.writeInt(e[2]);
      out.writeInt(e[3]);
    }
    out.writeInt(0);
    return bytes.toByteArray();
  }

  /** A TIFF whose directory names itself as the next. */
  private static byte[] tiffLeadsBack() throws IOException {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    DataOutputStream out = new DataOutputStream(bytes);
    out.writeInt(0x4d4d002a);
    out.writeInt(8);
    out.writeShort(2);
    for (int[] e : new int[][] {{256, 4, 1, 10}, {257, 4, 1, 10}}) {
      out.writeShort(e[0]);
      out.writeShort(e[1]);
      out.writeInt(e[2]);
      out.writeInt(e[3]);
    }
    out.writeInt(8);
    return bytes.toByteArray();
  }
}
