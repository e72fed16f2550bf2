package app.reglet.web.bench;

import app.reglet.core.Refusal;
import app.reglet.core.design.Colour;
import app.reglet.core.design.Content;
import app.reglet.core.design.Ground;
import app.reglet.core.design.Motif;
import app.reglet.core.design.Piece;
import app.reglet.core.design.Words;
import app.reglet.core.edit.Addition;
import app.reglet.core.edit.Edit;
import app.reglet.core.measure.Point;
import app.reglet.core.wrap.PanelKind;
import app.reglet.press.compose.PageOfFile;
import app.reglet.press.ornament.Ornament;
import app.reglet.press.picture.Picture;
import app.reglet.web.pictures.PictureStore;
import app.reglet.web.pictures.PlacedFiles;
import app.reglet.web.store.Uploads;
import app.reglet.web.titles.Cover;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import org.springframework.stereotype.Component;

/** A file that somebody brought to the bench, taken in and made a change of the cover. */
@Component
class Placing {
  private final PictureStore pictures;
  private final PlacedFiles placed;

  Placing(PictureStore pictures, PlacedFiles placed) {
    this.pictures = pictures;
    this.placed = placed;
  }

  /**
   * What is to be done.
   *
   * @param told what the person should know of it, empty for nothing
   * @param kept the picture that is kept with the title, by its SHA-256
   */
  record Planned(Function<Cover, Edit> change, String told, Optional<String> kept) {
    Planned(Function<Cover, Edit> change, String told) {
      this(change, told, Optional.empty());
    }
  }

  /**
   * Where a file goes.
   *
   * @param as {@code ground}, {@code motif}, {@code letters} or {@code piece}
   * @param of the piece or the ground concerned, as the bench names it
   * @param panel where a new piece is put
   * @param at where on the sheet it was let go; empty for the panel's middle
   */
  record Where(String as, String of, PanelKind panel, Optional<Point> at) {}

  Planned plan(Uploads.Upload file, Where where) throws IOException {
    return switch (PlacedFiles.kind(file.path())) {
      case PAGE -> page(file, where);
      case DRAWING -> drawing(file, where);
      case PICTURE -> picture(file, where);
    };
  }

  private Planned page(Uploads.Upload file, Where where) throws IOException {
    if (!where.as().equals("piece")) {
      throw new Refusal(
          "picture",
          "A page of a PDF can't be a ground or a motif: add it as a piece, and stretch it as far as you like.");
    }
    PageOfFile page = placed.addPage(file.path(), file.name(), 1);
    int notes = page.about().annotations();
    return new Planned(
        cover ->
            new Addition.AddPage(
                where.panel(), page.page().sha(), 1, name(file), page.about().size(), where.at()),
        notes == 0
            ? ""
            : "Not placed with the page: "
                + notes
                + (notes == 1 ? " note that lies on it." : " notes that lie on it."));
  }

  private Planned drawing(Uploads.Upload file, Where where) throws IOException {
    PlacedFiles.Drawn drawn = placed.addDrawing(file.path(), name(file));
    Ornament o = drawn.drawing();
    List<Colour> inks = new ArrayList<>();
    o.inks().forEach(rgb -> inks.add(new Colour.Rgb(rgb)));
    return new Planned(
        switch (where.as()) {
          case "motif" -> cover -> motif(cover, where.of(), new Motif.Drawn(o.id(), inks));
          case "piece" ->
              cover ->
                  new Addition.AddOrnament(
                      where.panel(), o.id(), name(file), o.width() / o.height(), inks, where.at());
          default ->
              throw new Refusal(
                  "picture",
                  "A drawing can't be the ground's picture or be seen through letters: add it as a piece, or choose it as the motif of the ground's pattern.");
        },
        drawn.leftOut());
  }

  private Planned picture(Uploads.Upload file, Where where) throws IOException {
    Picture added = pictures.add(file.path(), file.name());
    return new Planned(
        switch (where.as()) {
          case "motif" -> cover -> motif(cover, where.of(), new Motif.Pictured(added.sha()));
          case "letters" -> cover -> through(cover, where.of(), Content.Picture.of(added.sha()));
          case "piece" ->
              cover ->
                  new Addition.AddPicture(
                      where.panel(),
                      added.sha(),
                      file.name(),
                      (double) added.width() / added.height(),
                      where.at());
          default ->
              cover -> {
                Optional<PanelKind> part = GroundView.part(where.of(), cover);
                return new Edit.SetGround(
                    cover.side(),
                    part,
                    ground(cover, part).withPicture(added.sha()),
                    "Ground's picture");
              };
        },
        "",
        Optional.of(added.sha()));
  }

  /** A picture seen through the letters of a piece. */
  private static Edit through(Cover cover, String piece, Content.Picture picture) {
    return cover
        .design()
        .piece(piece)
        .map(Piece::content)
        .filter(Words.class::isInstance)
        .map(w -> new Edit.Set(piece, ((Words) w).through(picture)))
        .orElseThrow(() -> new Refusal("There are no words in the hand to see a picture through."));
  }

  /** What a piece is called after a file. */
  private static String name(Uploads.Upload file) {
    String name = file.name().replaceFirst("\\.(?i)(svg|pdf)$", "");
    return name.length() > Piece.LONGEST_NAME ? name.substring(0, Piece.LONGEST_NAME) : name;
  }

  private static Ground ground(Cover cover, Optional<PanelKind> part) {
    return cover.composition().ground(part).orElse(cover.composition().ground());
  }

  /** Another motif of a pattern: of a piece, or of the ground when none is named. */
  private static Edit motif(Cover cover, String piece, Motif motif) {
    Optional<Piece> of = cover.design().piece(piece);
    if (of.isPresent() && of.get().content() instanceof Content.Pattern p) {
      return new Edit.Set(piece, new Content.Pattern(motif, p.tiling()));
    }
    Optional<PanelKind> part = GroundView.part(piece, cover);
    Ground ground = ground(cover, part);
    Content.Pattern old =
        ground
            .pattern()
            .orElseThrow(() -> new Refusal("There is no pattern here to put a picture in."));
    return new Edit.SetGround(
        cover.side(),
        part,
        ground.withPattern(new Content.Pattern(motif, old.tiling())),
        "Ground's pattern");
  }
}
