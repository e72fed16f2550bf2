package app.reglet.web.shell;

import app.reglet.core.measure.Unit;
import app.reglet.web.people.Who;
import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import java.util.List;
import java.util.Optional;
import org.springframework.core.MethodParameter;
import org.springframework.stereotype.Component;
import org.springframework.web.bind.support.WebDataBinderFactory;
import org.springframework.web.context.request.NativeWebRequest;
import org.springframework.web.method.support.HandlerMethodArgumentResolver;
import org.springframework.web.method.support.ModelAndViewContainer;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** Gives controllers their {@link Viewer}. */
@Component
class ViewerArgument implements HandlerMethodArgumentResolver, WebMvcConfigurer {
  private final Who who;

  ViewerArgument(Who who) {
    this.who = who;
  }

  @Override
  public void addArgumentResolvers(List<HandlerMethodArgumentResolver> resolvers) {
    resolvers.add(this);
  }

  @Override
  public boolean supportsParameter(MethodParameter parameter) {
    return parameter.getParameterType() == Viewer.class;
  }

  @Override
  public Viewer resolveArgument(
      MethodParameter parameter,
      ModelAndViewContainer container,
      NativeWebRequest request,
      WebDataBinderFactory binders) {
    HttpServletRequest http = request.getNativeRequest(HttpServletRequest.class);
    return new Viewer(unit(http), http.getLocale(), who.name());
  }

  private static Optional<Unit> unit(HttpServletRequest request) {
    if (request.getCookies() != null) {
      for (Cookie c : request.getCookies()) {
        if (c.getName().equals(UnitInForce.COOKIE)) {
          return c.getValue().equals("mm")
              ? Optional.of(Unit.MM)
              : c.getValue().equals("in") ? Optional.of(Unit.IN) : Optional.empty();
        }
      }
    }
    return Optional.empty();
  }
}
