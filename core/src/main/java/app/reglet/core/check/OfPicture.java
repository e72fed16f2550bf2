package app.reglet.core.check;

import app.reglet.core.book.Licence;

/** What checks find of pictures: by what right they are used, and what packing lost. */
public sealed interface OfPicture extends Found {
  /** Hands itself to the method of its kind. */
  <R> R accept(Teller<R> teller);

  @Override
  default <R> R accept(Found.Visitor<R> visitor) {
    return visitor.ofPicture(this);
  }

  /** One method for each kind. */
  interface Teller<R> {
    R notForGoods(NotForGoods found);

    R creditUnsaid(CreditUnsaid found);

    R creditNotPlaced(CreditNotPlaced found);

    R artefacts(Artefacts found);
  }

  /** A licence is not known, or doesn't cover goods for sale. */
  record NotForGoods(String name, Licence licence) implements OfPicture {
    @Override
    public String code() {
      return "licence-not-for-goods";
    }

    @Override
    public <R> R accept(Teller<R> teller) {
      return teller.notForGoods(this);
    }
  }

  /** A credit is owed and nobody said what it is. */
  record CreditUnsaid(String name) implements OfPicture {
    @Override
    public String code() {
      return "credit-unsaid";
    }

    @Override
    public <R> R accept(Teller<R> teller) {
      return teller.creditUnsaid(this);
    }
  }

  /** A credit is owed and stands nowhere on the cover. */
  record CreditNotPlaced(String name, String credit) implements OfPicture {
    @Override
    public String code() {
      return "credit-not-placed";
    }

    @Override
    public <R> R accept(Teller<R> teller) {
      return teller.creditNotPlaced(this);
    }
  }

  /**
   * A picture was packed with so much loss that blocks and rings may be seen.
   *
   * @param quality 1 to 100
   * @param least from which they are not seen
   */
  record Artefacts(String name, int quality, int least) implements OfPicture {
    @Override
    public String code() {
      return "picture-artefacts";
    }

    @Override
    public <R> R accept(Teller<R> teller) {
      return teller.artefacts(this);
    }
  }
}
