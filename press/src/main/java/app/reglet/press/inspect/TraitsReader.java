package app.reglet.press.inspect;

import app.reglet.core.Refusal;
import app.reglet.core.house.PressRules;
import app.reglet.press.picture.IccProfile;
import app.reglet.press.reading.Budget;
import app.reglet.press.reading.FileBytes;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Deque;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSObject;
import org.apache.pdfbox.cos.COSStream;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.encryption.AccessPermission;

/**
 * Goes through everything that a PDF's catalogue leads to, each object once, without recursion and
 * no further than its budget.
 */
final class TraitsReader {
  private static final int LONGEST_NAME = 120;
  private static final int MOST_NAMES = 50;
  private static final int MOST_PROFILE = 8_000_000;

  private final PDDocument document;
  private final Budget budget;
  private final Set<String> profiles = new TreeSet<>();
  private final List<String> attached = new ArrayList<>();
  private final List<String> layers = new ArrayList<>();
  private int scripts;
  private int notes;

  private TraitsReader(PDDocument document, Budget budget) {
    this.document = document;
    this.budget = budget;
  }

  /**
   * Reads them.
   *
   * @throws Refusal when that costs more than it may
   */
  static FileTraits read(PDDocument document, Budget budget) {
    return new TraitsReader(document, budget).traits();
  }

  private FileTraits traits() {
    COSDictionary catalog = document.getDocumentCatalog().getCOSObject();
    everything(catalog);
    String producer = document.getDocumentInformation().getProducer();
    COSDictionary form = catalog.getCOSDictionary(COSName.ACRO_FORM);
    COSArray fields = form == null ? null : form.getCOSArray(COSName.FIELDS);
    Set<String> standards = new TreeSet<>();
    List<String> one = new ArrayList<>();
    List<String> four = new ArrayList<>();
    standards(standards, one, four);
    return new FileTraits(
        told(producer),
        document.isEncrypted(),
        forbidden(),
        intents(catalog),
        List.copyOf(layers),
        fields == null ? 0 : fields.size(),
        form != null && form.containsKey(COSName.getPDFName("XFA")),
        scripts,
        List.copyOf(attached),
        notes,
        List.copyOf(profiles),
        List.copyOf(standards),
        List.copyOf(one),
        List.copyOf(four));
  }

  private static String told(String text) {
    String out = text == null ? "" : text.strip();
    return out.length() > LONGEST_NAME ? out.substring(0, LONGEST_NAME) + "…" : out;
  }

  private List<String> forbidden() {
    List<String> out = new ArrayList<>();
    if (document.isEncrypted()) {
      AccessPermission may = document.getCurrentAccessPermission();
      if (!may.canPrint()) {
        out.add("printing");
      } else if (!may.canPrintFaithful()) {
        out.add("printing in full quality");
      }
      if (!may.canModify()) {
        out.add("changing");
      }
      if (!may.canExtractContent()) {
        out.add("copying");
      }
    }
    return List.copyOf(out);
  }

  private List<FileTraits.Intent> intents(COSDictionary catalog) {
    COSArray all = catalog.getCOSArray(COSName.OUTPUT_INTENTS);
    List<FileTraits.Intent> out = new ArrayList<>();
    for (int i = 0; all != null && i < Math.min(all.size(), MOST_NAMES); i++) {
      if (all.getObject(i) instanceof COSDictionary d) {
        byte[] profile =
            d.getDictionaryObject(COSName.DEST_OUTPUT_PROFILE) instanceof COSStream s
                ? bytes(s)
                : new byte[0];
        String condition = d.getString(COSName.OUTPUT_CONDITION_IDENTIFIER);
        out.add(
            new FileTraits.Intent(
                told(d.getNameAsString(COSName.S)),
                told(condition == null ? d.getString(COSName.OUTPUT_CONDITION) : condition),
                IccProfile.name(profile),
                sum(profile)));
      }
    }
    return List.copyOf(out);
  }

  private static String sum(byte[] profile) {
    try {
      return profile.length == 0 ? "" : FileBytes.of(profile).sha();
    } catch (IOException e) {
      throw new UncheckedIOException(e); // bytes are in memory
    }
  }

  /** A profile's bytes; none where it can't be read or is larger than one is. */
  private byte[] bytes(COSStream s) {
    budget.expectTime();
    try (InputStream in = s.createInputStream()) {
      byte[] out = in.readNBytes(MOST_PROFILE);
      return out.length == MOST_PROFILE ? new byte[0] : out;
    } catch (IOException e) {
      return new byte[0];
    }
  }

  private void everything(COSDictionary catalog) {
    Set<COSBase> seen = Collections.newSetFromMap(new IdentityHashMap<>());
    Deque<COSBase> open = new ArrayDeque<>();
    open.push(catalog);
    while (!open.isEmpty()) {
      COSBase each = open.pop();
      COSBase object = each instanceof COSObject o ? o.getObject() : each;
      if (object == null || !(object instanceof COSArray || object instanceof COSDictionary)) {
        continue;
      }
      budget.object();
      if (!seen.add(object)) {
        continue;
      }
      if (object instanceof COSArray a) {
        look(a);
        a.forEach(open::push);
      } else if (object instanceof COSDictionary d) {
        look(d);
        d.getValues().forEach(open::push);
      }
    }
  }

  private void look(COSArray a) {
    if (a.size() == 2
        && COSName.ICCBASED.equals(a.getObject(0))
        && a.getObject(1) instanceof COSStream s
        && profiles.size() < MOST_NAMES) {
      String name = IccProfile.name(bytes(s));
      profiles.add(name.isEmpty() ? "unnamed" : name);
    }
  }

  private void look(COSDictionary d) {
    COSName type = d.getCOSName(COSName.TYPE);
    if (d.containsKey(COSName.JS)) {
      scripts++;
    }
    if (COSName.OCG.equals(type) && layers.size() < MOST_NAMES) {
      layers.add(told(d.getString(COSName.NAME)));
    }
    if ((COSName.F.equals(type) || COSName.getPDFName("Filespec").equals(type))
        && d.containsKey(COSName.EF)
        && attached.size() < MOST_NAMES) {
      String name = d.getString(COSName.UF);
      attached.add(told(name == null ? d.getString(COSName.F) : name));
    }
    COSArray annots = d.getCOSArray(COSName.ANNOTS);
    if (annots != null) {
      notes += annots.size();
    }
  }

  /**
   * What it claims, and what it does not keep: nothing of one that is too odd to be gone through.
   */
  private void standards(Set<String> claimed, List<String> one, List<String> four) {
    try {
      PrintFacts facts = PrintFacts.of(document, budget);
      String info = facts.info.getString(COSName.getPDFName("GTS_PDFXVersion"));
      if (info != null) {
        claimed.add(told(info));
      }
      for (String known : new String[] {"PDF/X-1a:2003", "PDF/X-3:2003", "PDF/X-4", "PDF/X-4p"}) {
        if (facts.xmp.contains(">" + known + "<") || facts.xmp.contains("\"" + known + "\"")) {
          claimed.add(known);
        }
      }
      PressStandard.broken(facts, PressRules.Standard.X1A).forEach(c -> one.add(c.wanted()));
      PressStandard.broken(facts, PressRules.Standard.X4).forEach(c -> four.add(c.wanted()));
    } catch (IOException | RuntimeException e) {
      if (e instanceof Refusal r) {
        throw r;
      }
      one.add("an order that can be read");
      four.add("an order that can be read");
    }
  }
}
