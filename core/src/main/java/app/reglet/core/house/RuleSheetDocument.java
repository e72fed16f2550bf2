package app.reglet.core.house;

import app.reglet.core.Refusal;
import app.reglet.core.house.grammar.Grammar;
import java.math.BigDecimal;
import java.util.Locale;
import java.util.Map;
import tools.jackson.core.JacksonException;
import tools.jackson.core.StreamReadConstraints;
import tools.jackson.core.StreamReadFeature;
import tools.jackson.core.json.JsonFactory;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The text of a rule sheet as a tree of a size that can be worked with and shown. */
public final class RuleSheetDocument {
  private static final int LARGEST_DOCUMENT = 1_000_000;

  private static final int MOST_VALUES = 24_000;
  private static final int DEEPEST = 20;
  private static final int LONGEST_NUMBER = 60;

  /** Digits before or after the point of any number, an exponent counted in. */
  private static final int MOST_DIGITS = 60;

  private static final JsonMapper JSON =
      JsonMapper.builder(
              JsonFactory.builder()
                  .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
                  .streamReadConstraints(
                      StreamReadConstraints.builder()
                          .maxNestingDepth(DEEPEST)
                          .maxNumberLength(LONGEST_NUMBER)
                          .build())
                  .build())
          .enable(DeserializationFeature.USE_BIG_DECIMAL_FOR_FLOATS)
          .enable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
          .build();

  private RuleSheetDocument() {}

  /**
   * The document as a tree.
   *
   * @throws Refusal when it is no JSON, names a field twice, or is too long, too deep or too full
   */
  public static JsonNode parse(String json) {
    if (json.length() > LARGEST_DOCUMENT) {
      throw new Refusal(
          String.format(
              Locale.ROOT,
              "The document has %,d characters; a rule sheet has at most %,d.",
              json.length(),
              LARGEST_DOCUMENT));
    }
    try {
      JsonNode root = JSON.readTree(json);
      if (root == null || root.isMissingNode()) {
        throw new Refusal("This is not JSON: it is empty.");
      }
      bounded(root, "", 0);
      return root;
    } catch (JacksonException e) {
      String reason = e.getOriginalMessage().lines().findFirst().orElse("it can't be read");
      String place =
          e.getLocation() == null
              ? ""
              : " (line "
                  + e.getLocation().getLineNr()
                  + ", column "
                  + e.getLocation().getColumnNr()
                  + ")";
      throw new Refusal("This is not JSON: " + reason + place + ".");
    } catch (NumberFormatException e) { // an exponent that no int holds
      throw new Refusal(
          "A number in the document has an exponent of more than "
              + Integer.MAX_VALUE
              + ": no figure of a cover has.");
    }
  }

  /**
   * Sees that a document is of a size that can be worked with and shown: no number whose digits
   * would fill the memory, no list that no form could hold.
   *
   * @return how many values were seen, counting on from {@code seen}
   */
  private static int bounded(JsonNode node, String path, int seen) {
    int count = seen + 1;
    if (count > MOST_VALUES) {
      throw new Refusal(
          String.format(
              Locale.ROOT,
              "The document has more than %,d values; no rule sheet needs as many.",
              MOST_VALUES));
    }
    if (node.isNumber()) {
      BigDecimal value = node.decimalValue();
      if (Math.abs((long) value.scale()) > MOST_DIGITS
          || value.precision() - (long) value.scale() > MOST_DIGITS) {
        throw new Refusal(
            path,
            "“"
                + path
                + "” has more than "
                + MOST_DIGITS
                + " digits before or after the point: no figure of a cover has as many.");
      }
    } else if (node.isArray()) {
      if (node.size() > Grammar.MOST_ITEMS) {
        throw new Refusal(
            path,
            String.format(
                Locale.ROOT,
                "“%s” has %,d items; a list has at most %,d.",
                path,
                node.size(),
                Grammar.MOST_ITEMS));
      }
      for (int i = 0; i < node.size(); i++) {
        count = bounded(node.get(i), path + "[" + i + "]", count);
      }
    } else if (node.isObject()) {
      for (Map.Entry<String, JsonNode> field : node.properties()) {
        String name = field.getKey();
        if (name.length() > 200) {
          throw new Refusal(
              path, "A field's name has " + name.length() + " characters; 200 are allowed.");
        }
        count = bounded(field.getValue(), path.isEmpty() ? name : path + "." + name, count);
      }
    }
    return count;
  }
}
