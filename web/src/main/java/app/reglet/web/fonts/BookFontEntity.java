package app.reglet.web.fonts;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;

/** That a font is kept with a title. */
@Entity
@Table(name = "book_font")
public class BookFontEntity {
  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  @Column(name = "book_id")
  private Long bookId;

  @Column(name = "font_id")
  private String fontId;

  protected BookFontEntity() {}

  BookFontEntity(Long bookId, String fontId) {
    this.bookId = bookId;
    this.fontId = fontId;
  }

  public String getFontId() {
    return fontId;
  }
}
