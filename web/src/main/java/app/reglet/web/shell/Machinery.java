package app.reglet.web.shell;

import app.reglet.press.compose.Composer;
import app.reglet.press.type.Typefaces;
import java.time.Clock;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The press and the clock, made once. */
@Configuration
public class Machinery {
  @Bean
  Clock clock() {
    return Clock.systemUTC();
  }

  @Bean
  Typefaces typefaces() {
    return Typefaces.open();
  }

  @Bean
  Composer composer(Typefaces typefaces) {
    return new Composer(typefaces);
  }
}
