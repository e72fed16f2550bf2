package app.reglet.web.titles;

import app.reglet.core.check.Finding;
import app.reglet.core.measure.Unit;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;

/** A finding that a person lets be, with why. */
@Entity
@Table(name = "let_be")
public class LetBeEntity {
  /** Characters of what is found; a list of fonts may have more. */
  private static final int LONGEST = 2000;

  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  @Column(name = "edition_id")
  private Long editionId;

  private String code;
  private String piece;
  private String said;
  private String reason;
  private String person;
  private Instant made;

  protected LetBeEntity() {}

  /**
   * @param said what was found, in millimetres
   * @param person who lets it be; empty while nobody signs in
   */
  public LetBeEntity(
      Long editionId,
      String code,
      String piece,
      String said,
      String reason,
      String person,
      Instant made) {
    this.editionId = editionId;
    this.code = code;
    this.piece = piece;
    this.said = said;
    this.reason = reason;
    this.person = person;
    this.made = made;
  }

  /** What a finding says, in millimetres, as far as it is kept. */
  public static String said(Finding finding) {
    String said = finding.sentence(Unit.MM);
    return said.length() > LONGEST ? said.substring(0, LONGEST) : said;
  }

  /** Whether it is of this finding as it is now: what has grown worse is found anew. */
  boolean isOf(Finding finding) {
    return finding.code().equals(code)
        && finding.piece().orElse("").equals(piece)
        && said(finding).equals(said);
  }

  /** Whether another is of the same finding. */
  public boolean isLike(LetBeEntity other) {
    return other.code.equals(code) && other.piece.equals(piece) && other.said.equals(said);
  }

  public Long getId() {
    return id;
  }

  public Long getEditionId() {
    return editionId;
  }

  public String getCode() {
    return code;
  }

  public String getPiece() {
    return piece;
  }

  public String getSaid() {
    return said;
  }

  public String getReason() {
    return reason;
  }

  public String getPerson() {
    return person;
  }

  public Instant getMade() {
    return made;
  }
}
