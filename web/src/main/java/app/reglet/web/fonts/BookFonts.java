package app.reglet.web.fonts;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

/** Which fonts are kept with which titles. */
public interface BookFonts extends JpaRepository<BookFontEntity, Long> {
  List<BookFontEntity> findByBookIdOrderById(Long bookId);

  Optional<BookFontEntity> findByBookIdAndFontId(Long bookId, String fontId);
}
