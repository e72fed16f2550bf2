package app.reglet.core.book;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;

/**
 * Where the hyphens of an ISBN stand: the International ISBN Agency's range message, as the
 * isbn-core library carries it. The next seven digits after a prefix say how long the next part is.
 */
public final class IsbnRanges {
  private static final String MESSAGE = "/com/github/ladutsko/isbn/RangeMessage.xml";

  private record Range(int from, int to, int length) {}

  private static final class Holder {
    static final IsbnRanges SHIPPED = load();
  }

  private final Map<String, List<Range>> ranges;

  private IsbnRanges(Map<String, List<Range>> ranges) {
    this.ranges = ranges;
  }

  /** The ranges that ship with Reglet. */
  public static IsbnRanges shipped() {
    return Holder.SHIPPED;
  }

  private static String plain(String digits) {
    return digits.substring(0, 3) + "-" + digits.substring(3, 12) + "-" + digits.substring(12);
  }

  /**
   * The ISBN with its hyphens, {@code 978-0-306-40615-7}; where the agency has given no range out,
   * prefix apart and check digit apart: {@code 978-030640615-7}.
   */
  public String hyphenated(Isbn isbn) {
    String digits = isbn.digits();
    String prefix = digits.substring(0, 3);
    int group = length(prefix, digits.substring(3));
    if (group == 0) {
      return plain(digits);
    }
    String country = digits.substring(3, 3 + group);
    int publisher = length(prefix + "-" + country, digits.substring(3 + group));
    if (publisher == 0) {
      return plain(digits);
    }
    int title = 3 + group + publisher;
    return String.join(
        "-",
        prefix,
        country,
        digits.substring(3 + group, title),
        digits.substring(title, 12),
        digits.substring(12));
  }

  private int length(String prefix, String rest) {
    int next = Integer.parseInt((rest + "0000000").substring(0, 7));
    return ranges.getOrDefault(prefix, List.of()).stream()
        .filter(r -> next >= r.from() && next <= r.to())
        .mapToInt(Range::length)
        .findFirst()
        .orElse(0);
  }

  private static IsbnRanges load() {
    XMLInputFactory factory = XMLInputFactory.newFactory();
    factory.setProperty(XMLInputFactory.SUPPORT_DTD, false);
    factory.setProperty(XMLInputFactory.IS_SUPPORTING_EXTERNAL_ENTITIES, false);
    try (InputStream in = IsbnRanges.class.getResourceAsStream(MESSAGE)) {
      XMLStreamReader xml = factory.createXMLStreamReader(in);
      Map<String, List<Range>> ranges = new HashMap<>();
      String prefix = "";
      String range = "";
      while (xml.hasNext()) {
        if (xml.next() != XMLStreamConstants.START_ELEMENT) {
          continue;
        }
        switch (xml.getLocalName()) {
          case "Prefix" -> prefix = xml.getElementText().strip();
          case "Range" -> range = xml.getElementText().strip();
          case "Length" -> {
            String[] ends = range.split("-");
            ranges
                .computeIfAbsent(prefix, p -> new ArrayList<>())
                .add(
                    new Range(
                        Integer.parseInt(ends[0]),
                        Integer.parseInt(ends[1]),
                        Integer.parseInt(xml.getElementText().strip())));
          }
          default -> {
            // agencies' names, dates
          }
        }
      }
      return new IsbnRanges(ranges);
    } catch (XMLStreamException e) {
      throw new IllegalStateException("the range message can't be read", e);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
