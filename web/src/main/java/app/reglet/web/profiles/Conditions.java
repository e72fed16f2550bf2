package app.reglet.web.profiles;

import app.reglet.core.Refusal;
import app.reglet.press.colour.Condition;
import app.reglet.press.colour.OutputCondition;
import java.util.Arrays;
import java.util.List;
import org.springframework.stereotype.Service;

/** The printing conditions that files can be made for. */
@Service
public class Conditions {
  /** All of them. */
  public List<Condition> all() {
    return Arrays.stream(OutputCondition.values()).map(OutputCondition::condition).toList();
  }

  /**
   * One by its short name.
   *
   * @throws Refusal when there is none such
   */
  public Condition byId(String id) {
    return all().stream()
        .filter(c -> c.id().equals(id))
        .findFirst()
        .orElseThrow(
            () ->
                new Refusal(
                    "condition",
                    "No profile of the printing condition “"
                        + id
                        + "” is here: add it under Houses, or choose another."));
  }
}
