package app.reglet.core.house.grammar;

import app.reglet.core.book.Binding;
import app.reglet.core.house.grammar.Kind.Choice;
import app.reglet.core.house.grammar.Kind.Count;
import app.reglet.core.house.grammar.Kind.Decimal;
import app.reglet.core.house.grammar.Kind.LengthText;
import app.reglet.core.house.grammar.Kind.LengthText.Least;
import app.reglet.core.house.grammar.Kind.Names;
import app.reglet.core.house.grammar.Kind.Option;
import app.reglet.core.house.grammar.Kind.SizeText;
import app.reglet.core.house.grammar.Kind.Text;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;

/** What fields of several parts have in common. */
final class Common {
  static final Text WORDS = new Text("", "");
  static final Text ID =
      new Text(
          "[a-z0-9][a-z0-9-]{0,59}", "an id has small letters, digits and hyphens, 60 at most.");
  static final Text CURRENCY =
      new Text("[A-Z]{3}", "give the three letters of ISO 4217, such as GBP.");
  static final Count PAGES = new Count(1, Grammar.MOST_PAGES);
  static final Decimal NUMBER = new Decimal(false, 10);
  static final Decimal PRICE = new Decimal(true, 6);
  static final LengthText LENGTH = new LengthText(Least.ZERO);
  static final LengthText SIGNED = new LengthText(Least.ANY);
  static final SizeText SIZE = new SizeText();
  static final Names STOCKS = new Names("stocks");
  static final Names INKS = new Names("inks");

  static final Set<String> PAPER = bindings(Binding::hasPages);
  static final Set<String> FLAPPED = bindings(Binding::hasFlaps);
  static final Set<String> CASED = bindings(Binding::hasBoards);
  static final Set<String> BLED = bindings(Binding::isBled);

  static final PartType ROUNDING =
      PartType.of(
          "rounding",
          Field.need("step", LENGTH).hint("0.0625 in", "0.5 mm"),
          Field.may("mode", choice("nearest", "to the nearest", "up", "up", "down", "down"))
              .label("Which way")
              .otherwise("nearest"));

  private Common() {}

  static Choice choice(String... valuesAndLabels) {
    List<Option> options = new ArrayList<>();
    for (int i = 0; i < valuesAndLabels.length; i += 2) {
      options.add(new Option(valuesAndLabels[i], valuesAndLabels[i + 1]));
    }
    return new Choice(options);
  }

  static Choice bindingNames() {
    return new Choice(
        Arrays.stream(Binding.values()).map(b -> new Option(b.id(), b.title())).toList());
  }

  static Set<String> bindings(Predicate<Binding> which) {
    return Arrays.stream(Binding.values())
        .filter(which)
        .map(Binding::id)
        .collect(Collectors.toUnmodifiableSet());
  }

  static Set<String> ids(Binding... bindings) {
    return Arrays.stream(bindings).map(Binding::id).collect(Collectors.toUnmodifiableSet());
  }
}
