package app.reglet.press.template;

import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.BlockPage;
import app.reglet.core.wrap.FilePages;
import app.reglet.core.wrap.Wrap;
import app.reglet.core.wrap.WrapDocument;
import app.reglet.core.wrap.WrapTable;
import app.reglet.core.wrap.WrapText;
import app.reglet.press.pdf.TemplatePdf;
import app.reglet.press.type.Typeface;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.LocalDateTime;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;

/**
 * Everything about a cover for people who draw elsewhere: its templates in every form and its
 * measurements as text, JSON and comma-separated values.
 */
public final class TemplateSet {
  /** Written into the archive for every file, so that the same cover gives the same bytes. */
  private static final LocalDateTime TIME = LocalDateTime.of(2000, 1, 1, 0, 0);

  private TemplateSet() {}

  /**
   * The files by name.
   *
   * @param stem what every name begins with
   * @param ppi of the PNGs
   */
  public static Map<String, byte[]> files(
      Wrap outside, Unit unit, int ppi, Typeface face, String stem) {
    Map<String, byte[]> files = new LinkedHashMap<>();
    files.put(stem + ".txt", utf8(WrapText.write(outside, unit)));
    files.put(stem + ".pdf", TemplatePdf.make(outside, unit, face));
    List<Wrap> pages = FilePages.of(outside);
    for (Wrap page : pages) {
      String name = stem + (pages.size() > 1 ? "_" + page.page().id() : "");
      files.put(name + ".svg", utf8(Template.svg(page, unit)));
      files.put(name + "_" + ppi + "ppi.png", Template.png(page, unit, ppi, face));
    }
    List<BlockPage> inside = BlockPage.of(outside);
    if (!inside.isEmpty()) {
      files.put(stem + "_inside-pages.pdf", TemplatePdf.inside(outside, unit, face));
    }
    for (BlockPage page : inside) {
      files.put(stem + "_" + page.id() + ".svg", utf8(Template.svg(page, unit)));
      files.put(
          stem + "_" + page.id() + "_" + ppi + "ppi.png", Template.png(page, unit, ppi, face));
    }
    files.put(stem + ".json", utf8(WrapDocument.write(outside)));
    files.put(stem + ".csv", utf8(WrapTable.csv(outside)));
    return files;
  }

  /** The files as one ZIP archive. */
  public static byte[] zip(Map<String, byte[]> files) {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    try (ZipOutputStream out = new ZipOutputStream(bytes, StandardCharsets.UTF_8)) {
      for (Map.Entry<String, byte[]> file : files.entrySet()) {
        ZipEntry entry = new ZipEntry(file.getKey());
        entry.setTimeLocal(TIME);
        out.putNextEntry(entry);
        out.write(file.getValue());
        out.closeEntry();
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return bytes.toByteArray();
  }

  private static byte[] utf8(String text) {
    return text.getBytes(StandardCharsets.UTF_8);
  }
}
