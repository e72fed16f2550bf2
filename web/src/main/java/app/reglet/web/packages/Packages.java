package app.reglet.web.packages;

import app.reglet.core.design.Design;
import app.reglet.core.design.document.DesignDocument;
import app.reglet.core.measure.Unit;
import app.reglet.press.font.FontFacts;
import app.reglet.press.type.BroughtFaces;
import app.reglet.web.bench.Revisions;
import app.reglet.web.carry.Carrying;
import app.reglet.web.carry.Refitting;
import app.reglet.web.fonts.Brought;
import app.reglet.web.fonts.Fonts;
import app.reglet.web.houses.Houses;
import app.reglet.web.pictures.PictureStore;
import app.reglet.web.pictures.PlacedFiles;
import app.reglet.web.shell.Version;
import app.reglet.web.titles.BookEntity;
import app.reglet.web.titles.Covers;
import app.reglet.web.titles.EditionEntity;
import app.reglet.web.titles.Editions;
import app.reglet.web.titles.LetBeRows;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.zip.CRC32;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Writes titles as packages: ZIPs of JSON and of the files their covers show, as docs/package.md
 * tells. The same title gives the same bytes.
 */
@Service
public class Packages {
  private static final Pattern SHA = Pattern.compile("[0-9a-f]{64}");

  private final Covers covers;
  private final Editions editions;
  private final Houses houses;
  private final Revisions revisions;
  private final Carrying carrying;
  private final Refitting refitting;
  private final PictureStore pictures;
  private final PlacedFiles placed;
  private final Fonts fonts;

  private final LetBeRows letBe;

  Packages(
      LetBeRows letBe,
      Covers covers,
      Editions editions,
      Houses houses,
      Revisions revisions,
      Carrying carrying,
      Refitting refitting,
      PictureStore pictures,
      PlacedFiles placed,
      Fonts fonts) {
    this.letBe = letBe;
    this.covers = covers;
    this.editions = editions;
    this.houses = houses;
    this.revisions = revisions;
    this.carrying = carrying;
    this.refitting = refitting;
    this.pictures = pictures;
    this.placed = placed;
    this.fonts = fonts;
  }

  /**
   * What is written, gathered before the first byte goes out.
   *
   * @param documents by name
   * @param files by name, their sums
   */
  public record Gathered(String title, Map<String, byte[]> documents, Set<String> files) {}

  /**
   * Gathers a title.
   *
   * @param one an edition of it
   * @throws app.reglet.web.titles.BrokenCover when something of one of its editions can't be read
   */
  @Transactional(readOnly = true)
  public Gathered gather(EditionEntity one) {
    BookEntity book = one.getBook();
    List<EditionEntity> all = editions.ofBook(book.getId());
    Map<String, byte[]> documents = new TreeMap<>();
    Set<String> named = new TreeSet<>();
    StringBuilder texts = new StringBuilder();
    List<Slip.Edition> slips = new ArrayList<>();
    for (int i = 0; i < all.size(); i++) {
      EditionEntity e = all.get(i);
      covers.of(e, Unit.MM); // what can't be read would not be taken in anywhere
      String sheet = "sheets/" + e.getHouseId() + "-" + e.getHouseVersion() + ".json";
      documents.put(sheet, bytes(houses.document(e.getHouseId(), e.getHouseVersion())));
      List<Slip.Revision> designs = new ArrayList<>();
      for (int number : wanted(e, all)) {
        Revisions.Change change = revisions.change(e, number);
        Design design = revisions.at(e, number);
        String text = DesignDocument.write(design);
        texts.append(text);
        String name = "designs/" + (i + 1) + "-" + number + ".json";
        documents.put(name, bytes(text));
        designs.add(new Slip.Revision(number, change.parent(), change.what(), change.made(), name));
      }
      slips.add(
          new Slip.Edition(
              e.columns(),
              sheet,
              e.getRevision(),
              designs,
              carried(e, all),
              refitted(e),
              letBe(e)));
    }
    book.pictures().forEach(a -> named.add(a.sha()));
    Matcher sums = SHA.matcher(texts);
    while (sums.find()) {
      named.add(sums.group());
    }
    List<Slip.Kept> kept = new ArrayList<>();
    Set<String> files = new TreeSet<>();
    for (String sha : named) {
      placed
          .kept(sha)
          .filter(k -> Files.exists(pictures.original(sha)))
          .ifPresent(
              k -> {
                kept.add(
                    new Slip.Kept(
                        sha, k.kind().name().toLowerCase(java.util.Locale.ROOT), k.name()));
                files.add(sha);
              });
    }
    List<Slip.Font> brought = new ArrayList<>();
    for (Brought b : fonts.of(book.getId())) {
      if (Files.exists(pictures.original(b.sha()))) {
        brought.add(font(b));
        files.add(b.sha());
      }
    }
    Slip slip =
        new Slip(Slip.FORMAT, Version.NUMBER, facts(book), book.pictures(), slips, kept, brought);
    documents.put(Slip.NAME, slip.write());
    return new Gathered(book.getTitle(), documents, files);
  }

  /** The designs of an edition that are in force, or that another is compared with. */
  private Set<Integer> wanted(EditionEntity e, List<EditionEntity> all) {
    Set<Integer> wanted = new TreeSet<>();
    wanted.add(e.getRevision());
    for (EditionEntity other : all) {
      carrying
          .origin(other)
          .filter(c -> c.getOriginId().equals(e.getId()))
          .ifPresent(
              c -> {
                wanted.add(c.getOriginRevision());
                wanted.addAll(c.bases().values());
              });
    }
    refitting.kept(e).ifPresent(r -> wanted.add(r.baseRevision()));
    wanted.removeIf(n -> n <= 0 || revisions.isGone(e, n));
    return wanted;
  }

  private Slip.Carried carried(EditionEntity e, List<EditionEntity> all) {
    return carrying
        .origin(e)
        .flatMap(
            c -> {
              int from = all.stream().map(EditionEntity::getId).toList().indexOf(c.getOriginId());
              return from < 0
                  ? Optional.empty()
                  : Optional.of(
                      new Slip.Carried(
                          from, c.getOriginRevision(), c.getRevision(), new TreeMap<>(c.bases())));
            })
        .orElse(null);
  }

  private List<Slip.LetBe> letBe(EditionEntity e) {
    return letBe.findByEditionIdOrderById(e.getId()).stream()
        .map(l -> new Slip.LetBe(l.getCode(), l.getPiece(), l.getSaid(), l.getReason()))
        .toList();
  }

  private Slip.Refitted refitted(EditionEntity e) {
    return refitting
        .kept(e)
        .map(r -> new Slip.Refitted(r.baseRevision(), r.baseFacts(), e.getRevision()))
        .orElse(null);
  }

  private static Slip.Font font(Brought b) {
    List<Slip.Face> faces = new ArrayList<>();
    for (FontFacts.Face f : b.facts().faces()) {
      faces.add(
          new Slip.Face(
              BroughtFaces.id(f), f.family() + ", " + f.style(), new TreeMap<>(f.place())));
    }
    return new Slip.Font(b.sha(), b.fileName(), faces);
  }

  private static Slip.BookFacts facts(BookEntity book) {
    var b = book.facts();
    var f = b.further();
    return new Slip.BookFacts(
        b.title(),
        b.subtitle(),
        b.author(),
        b.imprint(),
        b.blurb(),
        "", // each edition has its own, among its facts
        b.price(),
        f.series(),
        f.number(),
        f.quote(),
        f.about(),
        f.edition(),
        f.date(),
        f.language(),
        book.getOwnTyped());
  }

  private static byte[] bytes(String text) {
    return text.getBytes(StandardCharsets.UTF_8);
  }

  /** What the file is called. */
  public static String name(Gathered g) {
    String plain =
        java.text.Normalizer.normalize(g.title(), java.text.Normalizer.Form.NFKD)
            .replaceAll("\\p{M}", "")
            .toLowerCase(java.util.Locale.ROOT)
            .replaceAll("[^a-z0-9]+", "-")
            .replaceAll("^-|-$", "");
    return (plain.isEmpty() ? "title" : plain) + ".reglet.zip";
  }

  /** Writes the ZIP. */
  public void write(Gathered g, OutputStream out) throws IOException {
    ZipOutputStream zip = new ZipOutputStream(out);
    put(zip, Slip.NAME, g.documents().get(Slip.NAME));
    for (Map.Entry<String, byte[]> e : new LinkedHashMap<>(g.documents()).entrySet()) {
      if (!e.getKey().equals(Slip.NAME)) {
        put(zip, e.getKey(), e.getValue());
      }
    }
    for (String sha : g.files()) {
      ZipEntry entry = entry("files/" + sha);
      // packed already: it is stored as it is, with its sum before it
      CRC32 crc = new CRC32();
      try (var in = Files.newInputStream(pictures.original(sha))) {
        byte[] buffer = new byte[1 << 16];
        for (int n = in.read(buffer); n >= 0; n = in.read(buffer)) {
          crc.update(buffer, 0, n);
        }
      }
      entry.setMethod(ZipEntry.STORED);
      entry.setSize(Files.size(pictures.original(sha)));
      entry.setCrc(crc.getValue());
      zip.putNextEntry(entry);
      Files.copy(pictures.original(sha), zip);
      zip.closeEntry();
    }
    zip.finish();
    zip.flush();
  }

  private static void put(ZipOutputStream zip, String name, byte[] content) throws IOException {
    zip.putNextEntry(entry(name));
    zip.write(content);
    zip.closeEntry();
  }

  /** Without a time of its own, so that the same title is the same file. */
  private static ZipEntry entry(String name) {
    ZipEntry entry = new ZipEntry(name);
    entry.setTimeLocal(java.time.LocalDateTime.of(1980, 1, 1, 0, 0));
    return entry;
  }
}
