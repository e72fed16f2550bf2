package app.reglet.core.house;

/** Something a house lists to choose from: an id for documents and a name for people. */
public sealed interface Choice permits Stock, Ink {
  String id();

  String name();
}
