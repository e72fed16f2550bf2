package app.reglet.web.pictures;

import org.springframework.data.jpa.repository.JpaRepository;

/** The picture records in the database. */
public interface PictureRecords extends JpaRepository<PictureEntity, String> {}
