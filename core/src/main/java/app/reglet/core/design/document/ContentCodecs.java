package app.reglet.core.design.document;

import app.reglet.core.Refusal;
import app.reglet.core.design.Content;
import app.reglet.core.design.Words;
import java.util.List;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** The codec of each kind of content. */
final class ContentCodecs {
  private static final WordsCodec WORDS = new WordsCodec();
  private static final ShapeCodec SHAPE = new ShapeCodec();
  private static final PictureCodec PICTURE = new PictureCodec();
  private static final MotifCodec.Ornaments ORNAMENT = new MotifCodec.Ornaments();
  private static final MotifCodec.Patterns PATTERN = new MotifCodec.Patterns();
  private static final PageCodec PAGE = new PageCodec();
  private static final CuttingCodec CUTTING = new CuttingCodec();
  private static final BarcodeCodec BARCODE = new BarcodeCodec();
  private static final GroupCodec GROUP = new GroupCodec();
  private static final List<ContentCodec<? extends Content>> ALL =
      List.of(WORDS, SHAPE, PICTURE, ORNAMENT, PATTERN, PAGE, CUTTING, BARCODE, GROUP);

  private ContentCodecs() {}

  static ObjectNode write(Content content) {
    return content.accept(
        new Content.Visitor<>() {
          @Override
          public ObjectNode words(Words words) {
            return with(WORDS, words);
          }

          @Override
          public ObjectNode shape(Content.Shape shape) {
            return with(SHAPE, shape);
          }

          @Override
          public ObjectNode picture(Content.Picture picture) {
            return with(PICTURE, picture);
          }

          @Override
          public ObjectNode ornament(Content.Ornament ornament) {
            return with(ORNAMENT, ornament);
          }

          @Override
          public ObjectNode pattern(Content.Pattern pattern) {
            return with(PATTERN, pattern);
          }

          @Override
          public ObjectNode page(Content.Page page) {
            return with(PAGE, page);
          }

          @Override
          public ObjectNode cutting(Content.Cutting cutting) {
            return with(CUTTING, cutting);
          }

          @Override
          public ObjectNode barcode(Content.Barcode barcode) {
            return with(BARCODE, barcode);
          }

          @Override
          public ObjectNode group(Content.Group group) {
            return with(GROUP, group);
          }
        });
  }

  private static <C extends Content> ObjectNode with(ContentCodec<C> codec, C content) {
    ObjectNode out = JsonNodeFactory.instance.objectNode();
    out.put("kind", codec.kind());
    codec.write(content, out);
    return out;
  }

  static Content read(Fields in) {
    String kind = in.text("kind");
    return ALL.stream()
        .filter(c -> c.kind().equals(kind))
        .findFirst()
        .orElseThrow(() -> new Refusal("“" + kind + "” is no kind of piece known here."))
        .read(in);
  }
}
