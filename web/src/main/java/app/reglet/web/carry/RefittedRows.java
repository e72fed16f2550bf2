package app.reglet.web.carry;

import org.springframework.data.jpa.repository.JpaRepository;

/** What covers follow their facts from, in the database. */
interface RefittedRows extends JpaRepository<RefittedEntity, Long> {}
