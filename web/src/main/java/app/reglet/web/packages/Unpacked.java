package app.reglet.web.packages;

import app.reglet.core.Refusal;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Enumeration;
import java.util.HashMap;
import java.util.Map;
import java.util.regex.Pattern;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;

/** A package taken apart into a directory: only what a package holds, and no more than fits. */
final class Unpacked implements AutoCloseable {
  /** Of all entries together, as they come out. */
  private static final long MOST_BYTES = 2_000_000_000L;

  private static final long MOST_JSON = 20_000_000;
  private static final long MOST_DOCUMENT = 1_100_000;
  private static final int MOST_ENTRIES = 4000;
  private static final Pattern NAME =
      Pattern.compile(
          "package\\.json|(sheets|designs)/[a-z0-9][a-z0-9.-]{0,100}\\.json|files/[0-9a-f]{64}");

  private final Path directory;
  private final Map<String, Path> parts = new HashMap<>();

  private Unpacked(Path directory) {
    this.directory = directory;
  }

  /**
   * Takes a package apart.
   *
   * @param directory an empty one; it is gone when this is closed
   * @throws Refusal when it is none
   */
  static Unpacked of(Path zip, Path directory) throws IOException {
    return of(zip, directory, MOST_BYTES);
  }

  /**
   * Takes one apart that has no more than so many bytes in all.
   *
   * @throws Refusal when it is none, or has more
   */
  static Unpacked of(Path zip, Path directory, long most) throws IOException {
    Unpacked unpacked = new Unpacked(directory);
    try (ZipFile file = new ZipFile(zip.toFile())) {
      unpacked.take(file, most);
      return unpacked;
    } catch (IOException e) {
      unpacked.close();
      throw new Refusal("package", "This is no package of a title: it can't be read as a ZIP.");
    } catch (RuntimeException e) {
      unpacked.close();
      throw e;
    }
  }

  private void take(ZipFile zip, long mostBytes) throws IOException {
    if (zip.size() > MOST_ENTRIES) {
      throw new Refusal(
          "package",
          "This package has " + zip.size() + " parts; one has at most " + MOST_ENTRIES + ".");
    }
    long left = mostBytes;
    Enumeration<? extends ZipEntry> entries = zip.entries();
    while (entries.hasMoreElements()) {
      ZipEntry entry = entries.nextElement();
      String name = entry.getName();
      if (!NAME.matcher(name).matches()) {
        throw new Refusal(
            "package",
            "This package holds “"
                + (name.length() > 80 ? name.substring(0, 80) + "…" : name)
                    .replaceAll("\\p{Cntrl}", "?")
                + "”, which is no part of a title’s package.");
      }
      Path to = directory.resolve(String.valueOf(parts.size()));
      if (parts.putIfAbsent(name, to) != null) {
        throw new Refusal("package", "This package holds “" + name + "” twice.");
      }
      long most =
          name.equals(Slip.NAME)
              ? MOST_JSON
              : name.startsWith("files/") ? left : Math.min(left, MOST_DOCUMENT * 20);
      try (InputStream in = zip.getInputStream(entry);
          OutputStream out = Files.newOutputStream(to)) {
        left -= copy(in, out, most, name);
      }
    }
    if (!parts.containsKey(Slip.NAME)) {
      throw new Refusal("package", "This is no package of a title: it has no package.json.");
    }
  }

  private static long copy(InputStream in, OutputStream out, long most, String name)
      throws IOException {
    byte[] buffer = new byte[1 << 16];
    long copied = 0;
    for (int n = in.read(buffer); n >= 0; n = in.read(buffer)) {
      copied += n;
      if (copied > most) {
        throw new Refusal(
            "package",
            "“" + name + "” in this package is too large: more than " + most / 1_000_000 + " MB.");
      }
      out.write(buffer, 0, n);
    }
    return copied;
  }

  Slip slip() throws IOException {
    return Slip.read(Files.readAllBytes(parts.get(Slip.NAME)));
  }

  /**
   * The text of a part.
   *
   * @throws Refusal when it isn't there
   */
  String text(String name) throws IOException {
    return new String(Files.readAllBytes(path(name)), StandardCharsets.UTF_8);
  }

  /** Where a part lies. */
  Path path(String name) {
    Path path = parts.get(name);
    if (path == null) {
      throw new Refusal(
          "package",
          "This package names “"
              + (name.length() > 120 ? name.substring(0, 120) + "…" : name)
              + "”, which is not in it.");
    }
    return path;
  }

  @Override
  public void close() throws IOException {
    if (!Files.isDirectory(directory)) {
      return;
    }
    try (var all = Files.list(directory)) {
      for (Path p : all.toList()) {
        Files.deleteIfExists(p);
      }
    }
    Files.deleteIfExists(directory);
  }
}
