package app.reglet.web.jobs;

import app.reglet.press.pdf.Progress;
import java.io.IOException;
import java.io.OutputStream;

/** Makes files of a kind. */
public interface JobMaker {
  /** Which. */
  String kind();

  /**
   * Makes one.
   *
   * @param out where to; not closed
   * @param progress to be told; what it throws ends the making
   * @return what is to be said of it, empty for nothing
   * @throws app.reglet.core.Refusal when it can't be made
   */
  String make(Job job, OutputStream out, Progress progress) throws IOException;
}
