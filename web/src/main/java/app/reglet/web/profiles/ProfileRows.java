package app.reglet.web.profiles;

import org.springframework.data.jpa.repository.JpaRepository;

interface ProfileRows extends JpaRepository<ProfileEntity, String> {}
