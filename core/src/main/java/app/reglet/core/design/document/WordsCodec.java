package app.reglet.core.design.document;

import app.reglet.core.book.Fact;
import app.reglet.core.design.Setting;
import app.reglet.core.design.Type;
import app.reglet.core.design.Words;
import tools.jackson.databind.node.ObjectNode;

/** Words as JSON and back. */
final class WordsCodec implements ContentCodec<Words> {
  @Override
  public String kind() {
    return "words";
  }

  @Override
  public void write(Words w, ObjectNode out) {
    if (w.fact() != null) {
      out.put("fact", w.fact().name());
    }
    Type type = w.type();
    out.put("text", w.text())
        .put("face", type.face())
        .put("size", type.size().toString())
        .put("fit", type.fit() != Type.Fit.SIZE);
    out.set("paint", PaintCodec.write(w.paint()));
    if (w.outline() != null) {
      out.set("outline", PaintCodec.write(w.outline()));
    }
    Setting setting = w.setting();
    out.put("align", setting.align().name())
        .put("vertical", setting.vertical().name())
        .put("leading", setting.leading())
        .put("capitals", type.letters() == Type.Letters.CAPITALS)
        .put("tracking", type.tracking())
        .put("direction", setting.direction().name());
    if (w.curve() != null) {
      out.set("curve", CurveCodec.write(w.curve()));
    }
    if (w.panel() != null) {
      out.set("panel", CurveCodec.write(w.panel()));
    }
    if (w.through() != null) {
      new PictureCodec().write(w.through(), out.putObject("through"));
    }
    more(type, out);
    more(setting, out);
  }

  /** What was not there in the first files of this format is written where it says something. */
  private static void more(Type type, ObjectNode out) {
    if (type.fit() == Type.Fit.LARGEST || type.fit() == Type.Fit.WIDTH) {
      out.put("fills", type.fit().name());
    }
    if (type.letters() != Type.Letters.AS_WRITTEN && type.letters() != Type.Letters.CAPITALS) {
      out.put("letters", type.letters().name());
    }
    if (!type.features().isEmpty()) {
      type.features().forEach(out.putArray("features")::add);
    }
  }

  private static void more(Setting s, ObjectNode out) {
    if (s.gap() != 0) {
      out.put("gap", s.gap());
    }
    if (s.indent() != 0) {
      out.put("indent", s.indent());
    }
    if (s.breaks() != Setting.Breaks.FULL) {
      out.put("breaks", s.breaks().name());
    }
    if (s.hyphenated()) {
      out.put("hyphenated", true);
    }
    if (s.hanging()) {
      out.put("hanging", true);
    }
    if (!s.language().isEmpty()) {
      out.put("language", s.language());
    }
  }

  @Override
  public Words read(Fields in) {
    return new Words(
        in.has("fact") ? in.choice("fact", Fact.class) : null,
        in.text("text", ""),
        type(in),
        setting(in),
        in.part("paint", PaintCodec::read),
        in.partIfAny("outline", PaintCodec::stroke).orElse(null),
        in.partIfAny("curve", CurveCodec::curve).orElse(null),
        in.partIfAny("panel", CurveCodec::panel).orElse(null),
        in.partIfAny("through", new PictureCodec()::read).orElse(null));
  }

  private static Type type(Fields in) {
    return new Type(
        in.text("face"),
        in.length("size"),
        in.choice("fills", in.flag("fit") ? Type.Fit.AT_MOST : Type.Fit.SIZE),
        in.whole("tracking", 0),
        in.choice("letters", in.flag("capitals") ? Type.Letters.CAPITALS : Type.Letters.AS_WRITTEN),
        in.texts("features"));
  }

  private static Setting setting(Fields in) {
    return new Setting(
        in.choice("align", Setting.Align.class),
        in.choice("vertical", Setting.VerticalAlign.class),
        in.choice("direction", Setting.Direction.class),
        in.number("leading"),
        in.number("gap", 0),
        in.number("indent", 0),
        in.choice("breaks", Setting.Breaks.FULL),
        in.has("hyphenated") && in.flag("hyphenated"),
        in.has("hanging") && in.flag("hanging"),
        in.text("language", ""));
  }
}
