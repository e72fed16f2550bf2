package app.reglet.core.check;

import app.reglet.core.wrap.PanelKind;
import java.util.stream.Stream;

/** The words that stand on the spine. */
final class OnSpine {
  private OnSpine() {}

  static Stream<Laid.Words> words(Subject s) {
    return s.words()
        .filter(
            w ->
                s.wrap().panelUnder(w.inked()).filter(p -> p.kind() == PanelKind.SPINE).isPresent()
                    || s.wrap()
                        .panelUnder(w.extent())
                        .filter(p -> p.kind() == PanelKind.SPINE)
                        .isPresent());
  }
}
