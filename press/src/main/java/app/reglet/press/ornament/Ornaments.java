package app.reglet.press.ornament;

import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** The ornaments that ship with Reglet, drawn by the project. */
public final class Ornaments {
  private static final class Holder {
    static final Ornaments SHIPPED = new Ornaments();
  }

  private final Map<String, Ornament> all = new LinkedHashMap<>();

  private Ornaments() {
    List<Ornament> drawn = new ArrayList<>();
    drawn.addAll(Stars.all());
    drawn.addAll(Shore.all());
    drawn.addAll(Rules.all());
    drawn.addAll(Corners.all());
    drawn.addAll(Motifs.all());
    for (Ornament o : drawn) {
      if (all.put(o.id(), o) != null) {
        throw new IllegalStateException("two ornaments are called " + o.id());
      }
    }
  }

  public static Ornaments shipped() {
    return Holder.SHIPPED;
  }

  public Collection<Ornament> all() {
    return all.values();
  }

  public Optional<Ornament> find(String id) {
    return Optional.ofNullable(all.get(id));
  }
}
