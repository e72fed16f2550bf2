package app.reglet.core.act;

import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** What a person does about a finding; findings are told by it, in this order. */
public enum Act {
  FACTS(
      "Settle the facts",
      "trim-not-offered pages-not-offered no-flap flap-not-offered inside-not-offered fact-empty fact-unknown title-other count-provisional inside-bare isbn-taken isbn-shared"),
  PLACE(
      "Move or resize",
      "words-outside-safe words-across-fold words-overflow bleed-not-reached on-glue off-middle edges-apart edge-on-fold border-near-trim"),
  PIECES("Show or take off", "piece-hidden piece-locked piece-off-sheet words-none"),
  TYPE(
      "Set the words anew",
      "spine-type-not-allowed spine-type-too-big spine-type-too-small spine-type-other-way type-small type-in-rich-black glyph-missing families-many forms-lacking title-faint fonts-missing"),
  COLOUR("Change colours and lines", "words-faint line-thin pale-edge"),
  PICTURE("See to the pictures", "picture-too-coarse picture-soft picture-fine picture-artefacts"),
  RIGHTS("Clear the rights", "licence-not-for-goods credit-unsaid credit-not-placed"),
  BARCODE(
      "See to the barcode",
      "barcode-missing barcode-out-of-area barcode-panel-dark barcode-area-covered barcode-unread barcode-other barcode-area-dark"),
  SHEET(
      "Make the file in the measured size",
      "sheet-size trim-box page-count inside-size pixels would-fit edge-white spine-off-middle"),
  FILE(
      "Save the file otherwise",
      "fonts kind-other file-large file-locked standard-unkept colours-of-screen colours-in-inks condition-missing condition-other ink-heavy ink-lowered shows-through inks-beside overprints carries-notes carries-layers carries-form carries-scripts carries-files carries-marks words-untold drawing-broken");

  private static final Map<String, Act> BY_CODE =
      Stream.of(values())
          .flatMap(a -> Stream.of(a.codes.split(" ")).map(c -> Map.entry(c, a)))
          .collect(Collectors.toMap(Map.Entry::getKey, Map.Entry::getValue));

  private final String title;
  private final String codes;

  Act(String title, String codes) {
    this.title = title;
    this.codes = codes;
  }

  /** {@code Move or resize}. */
  public String title() {
    return title;
  }

  /** That of a finding's code. */
  public static Act of(String code) {
    Act act = BY_CODE.get(code);
    if (act == null) {
      throw new IllegalArgumentException("nobody knows what to do about " + code);
    }
    return act;
  }

  /** Every code that there is. */
  public static Set<String> codes() {
    return BY_CODE.keySet();
  }
}
