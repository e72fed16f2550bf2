package app.reglet.core.design.document;

import app.reglet.core.design.Content;
import tools.jackson.databind.node.ObjectNode;

/** One kind of content, as JSON and back. */
interface ContentCodec<C extends Content> {
  /** The kind's name in documents. */
  String kind();

  void write(C content, ObjectNode out);

  C read(Fields in);
}
