package app.reglet.press.inspect;

import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;

/** A PDF written by hand, object by object (ISO 32000-1, 7.5): no library has a say in it. */
public final class HandPdf {
  private final List<byte[]> objects = new ArrayList<>();
  private String catalog = "";
  private String trailer = "";
  private final List<Integer> pages = new ArrayList<>();
  private String version = "1.6";

  /** 1 is the catalogue, 2 the page tree. */
  public HandPdf() {
    objects.add(null);
    objects.add(null);
  }

  public HandPdf version(String number) {
    version = number;
    return this;
  }

  /** Adds an object; its number. */
  public int add(String object) {
    objects.add(object.getBytes(StandardCharsets.ISO_8859_1));
    return objects.size();
  }

  /** Adds a stream; its number. */
  public int stream(String entries, byte[] content) {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    write(out, "<< " + entries + " /Length " + content.length + " >>\nstream\n");
    out.writeBytes(content);
    write(out, "\nendstream");
    objects.add(out.toByteArray());
    return objects.size();
  }

  public int stream(String entries, String content) {
    return stream(entries, content.getBytes(StandardCharsets.ISO_8859_1));
  }

  /** Adds a page: its entries without parent and contents; what is drawn; its resources. */
  public HandPdf page(String entries, String resources, String content) {
    int drawn = stream("", content);
    pages.add(
        add(
            "<< /Type /Page /Parent 2 0 R "
                + entries
                + " /Resources << "
                + resources
                + " >> /Contents "
                + drawn
                + " 0 R >>"));
    return this;
  }

  /** Entries of the catalogue beside its pages. */
  public HandPdf catalog(String entries) {
    catalog += entries;
    return this;
  }

  /** Entries of the trailer beside size and root. */
  public HandPdf trailer(String entries) {
    trailer += entries;
    return this;
  }

  public byte[] bytes() {
    StringBuilder kids = new StringBuilder();
    pages.forEach(p -> kids.append(p).append(" 0 R "));
    objects.set(
        0,
        ("<< /Type /Catalog /Pages 2 0 R " + catalog + " >>")
            .getBytes(StandardCharsets.ISO_8859_1));
    objects.set(
        1,
        ("<< /Type /Pages /Count " + pages.size() + " /Kids [" + kids + "] >>")
            .getBytes(StandardCharsets.ISO_8859_1));
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    write(out, "%PDF-" + version + "\n%\u00e2\u00e3\u00cf\u00d3\n");
    List<Integer> at = new ArrayList<>();
    for (int i = 0; i < objects.size(); i++) {
      at.add(out.size());
      write(out, i + 1 + " 0 obj\n");
      out.writeBytes(objects.get(i));
      write(out, "\nendobj\n");
    }
    int table = out.size();
    write(out, "xref\n0 " + (objects.size() + 1) + "\n0000000000 65535 f \n");
    at.forEach(a -> write(out, String.format("%010d 00000 n \n", a)));
    write(
        out,
        "trailer\n<< /Size "
            + (objects.size() + 1)
            + " /Root 1 0 R "
            + trailer
            + " >>\nstartxref\n"
            + table
            + "\n%%EOF\n");
    return out.toByteArray();
  }

  private static void write(ByteArrayOutputStream out, String text) {
    out.writeBytes(text.getBytes(StandardCharsets.ISO_8859_1));
  }
}
