package app.reglet.press.vector;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.reglet.core.Refusal;
import app.reglet.press.ornament.Ornament;
import app.reglet.press.reading.Budget;
import app.reglet.press.reading.FileBytes;
import app.reglet.press.svg.OrnamentSvg;
import app.reglet.testing.Scratch;
import java.io.IOException;
import java.net.ServerSocket;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** SVG files that are wrong, or that want something else than to be drawn. */
public class HostileSvgTest {
  private static final String HEAD =
      "<svg xmlns=\"http://www.w3.org/2000/svg\" xmlns:xlink=\"http://www.w3.org/1999/xlink\" viewBox=\"0 0 100 50\">";
  private static final String SQUARE = "<rect width=\"20\" height=\"20\" fill=\"#b8452f\"/>";

  private static SvgReader.Read read(String svg) {
    byte[] file = svg.getBytes(StandardCharsets.UTF_8);
    return SvgReader.read(FileBytes.of(file), "drawing", Budget.forFile(file.length));
  }

  private static String deep(int levels) {
    return HEAD + "<g>".repeat(levels) + SQUARE + "</g>".repeat(levels) + "</svg>";
  }

  /** Each level shows the one before it ten times: ten to the ninth squares. */
  private static String uses() {
    StringBuilder out = new StringBuilder(HEAD + "<g id=\"u0\">" + SQUARE + "</g>");
    for (int i = 1; i < 10; i++) {
      out.append("<g id=\"u").append(i).append("\">");
      out.append(("<use href=\"#u" + (i - 1) + "\"/>").repeat(10)).append("</g>");
    }
    return out + "</svg>";
  }

  @DataProvider
  Object[][] refused() {
    return new Object[][] {
      {"", "damaged at line 1"},
      {"no markup", "damaged at line 1"},
      {"<html><body/></html>", "no SVG: it begins with <html>"},
      {HEAD + SQUARE, "damaged at line 1"},
      {HEAD + "</svg>", "draws nothing that can be printed"},
      {HEAD + "<script>alert(1)</script></svg>", "draws nothing that can be printed: 1 script"},
      {HEAD + "<image href=\"a.png\" width=\"9\" height=\"9\"/></svg>", "printed: 1 picture"},
      {
        HEAD + "<text font-family=\"'Reed Sans', serif\">Salt</text>" + SQUARE + "</svg>",
        "words set in “Reed Sans”, which an SVG does not bring"
      },
      {
        "<!DOCTYPE svg [<!ENTITY a \"&b;&b;\"><!ENTITY b \"<rect/>\">]>" + HEAD + "&a;</svg>",
        "uses entities of its own (line 1)"
      },
      {
        "<!DOCTYPE svg [<!ENTITY x SYSTEM \"file:///etc/passwd\">]>" + HEAD + "<desc/>&x;</svg>",
        "uses entities of its own (line 1)"
      },
      {deep(101), "more than 100 groups deep"},
      {HEAD + SQUARE.repeat(100_000) + "</svg>", "more than 20,000 elements"},
      {HEAD + SQUARE.repeat(5_001) + "</svg>", "more than 5,000 areas"},
      {HEAD + "<path d=\"M0 0" + "l1 1-1 0".repeat(101_000) + "\"/></svg>", "200,000 points"},
      {uses(), "more than"},
      {HEAD + "<g id=\"a\"><use href=\"#a\"/>" + SQUARE + "</g></svg>", ""},
      {HEAD.replace("0 0 100 50", "0 0 0 50") + SQUARE + "</svg>", ""},
      {
        "<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"1e9\" height=\"1e9\">"
            + SQUARE
            + "</svg>",
        "has a box of"
      },
    };
  }

  @Test(dataProvider = "refused")
  public void eachHasASentenceOrIsDrawn(String svg, String sentence) {
    if (sentence.isEmpty()) {
      try {
        assertThat(read(svg).drawing().parts()).isNotEmpty();
      } catch (Refusal r) {
        assertThat(r.getMessage()).endsWith(".");
      }
      return;
    }
    assertThatThrownBy(() -> read(svg)).isInstanceOf(Refusal.class).hasMessageContaining(sentence);
  }

  @Test
  public void whatIsTooLargeIsRefusedBeforeItIsRead() throws IOException {
    Path file = Scratch.file("large", ".svg");
    try (var out = Files.newOutputStream(file)) {
      out.write(HEAD.getBytes(StandardCharsets.UTF_8));
      out.write(new byte[9_000_000]);
    }
    assertThatThrownBy(
            () ->
                SvgReader.read(FileBytes.of(file), "d", new Budget(Duration.ofSeconds(1), 10, 10)))
        .hasMessageContaining("9.0 MB; a drawing has at most 8 MB");
    Files.delete(file);
  }

  /** Nothing is asked for over the net, whatever names it: a server that would hear it listens. */
  @Test
  public void nothingOfAFileRunsOrReachesElsewhereAndWhatIsLeftOutIsTold() throws IOException {
    try (ServerSocket server = new ServerSocket(0)) {
      server.setSoTimeout(1);
      String there = "http://127.0.0.1:" + server.getLocalPort() + "/a";
      SvgReader.Read read =
          read(
              "<?xml version=\"1.0\"?><?xml-stylesheet href=\""
                  + there
                  + "\"?><!DOCTYPE svg PUBLIC \"-//W3C//DTD SVG 1.1//EN\" \""
                  + there
                  + ".dtd\">"
                  + HEAD.replace(">", " onload=\"alert(1)\">")
                  + "<style>@import url("
                  + there
                  + ".css); rect { fill: url("
                  + there
                  + "#p) }</style>"
                  + "<script href=\""
                  + there
                  + "\">alert(2)</script>"
                  + "<use xlink:href=\""
                  + there
                  + "#x\"/><image xlink:href=\""
                  + there
                  + "\" width=\"5\" height=\"5\"/>"
                  + "<foreignObject><iframe xmlns=\"http://www.w3.org/1999/xhtml\" src=\""
                  + there
                  + "\"/></foreignObject>"
                  + "<filter id=\"f\"><feImage href=\""
                  + there
                  + "\"/></filter>"
                  + "<circle r=\"9\" filter=\"url(#f)\" onclick=\"alert(3)\"/>"
                  + "<a href=\"javascript:alert(4)\">"
                  + "<circle cx=\"50\" cy=\"25\" r=\"9\" fill=\"#123456\"><animate attributeName=\"r\" to=\"99\"/></circle></a></svg>");
      assertThat(read.leftOut())
          .startsWith("Left out of the drawing: ")
          .contains("1 animation", "1 filter", "1 picture", "1 part that is not SVG", "scripts")
          .contains("parts that lie in another file", "1 style that lies in another file");
      String kept = OrnamentSvg.document(read.drawing());
      assertThat(kept)
          .doesNotContain("script", "127.0.0.1", "alert", "href", "style", "on")
          .contains("<path", "#123456");
      assertThatThrownBy(server::accept).isInstanceOf(java.net.SocketTimeoutException.class);
    }
  }

  @Test
  public void whatIsKeptReadAgainIsTheSame() {
    Ornament first =
        read(HEAD
                + "<g opacity=\".5\"><rect width=\"30\" height=\"30\" fill=\"#b8452f\"/>"
                + "<rect x=\"20\" width=\"30\" height=\"30\"/></g></svg>")
            .drawing();
    assertThat(first.width()).isEqualTo(1000);
    assertThat(first.height()).isEqualTo(500);
    assertThat(first.inks()).containsExactly(0xb8452f, 0);
    assertThat(first.parts()).hasSize(1);
    assertThat(((Ornament.Faded) first.parts().get(0)).opacity()).isEqualTo(0.5);
    String written = OrnamentSvg.document(first);
    Ornament again = SvgReader.kept(written.getBytes(StandardCharsets.UTF_8), "id", "name");
    assertThat(OrnamentSvg.document(again)).isEqualTo(written);
  }
}
