package app.reglet.core.design;

import app.reglet.core.Refusal;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.Region;
import tools.jackson.core.JacksonException;
import tools.jackson.core.JsonGenerator;
import tools.jackson.core.JsonParser;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.SerializationContext;
import tools.jackson.databind.ValueDeserializer;
import tools.jackson.databind.ValueSerializer;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.module.SimpleModule;

/** A design as JSON, and back. Lengths are texts in mm that read back to the same quanta. */
public final class DesignDocument {
  private static final JsonMapper JSON =
      JsonMapper.builder()
          .addModule(
              new SimpleModule()
                  .addSerializer(Length.class, new WriteLength())
                  .addDeserializer(Length.class, new ReadLength())
                  .addDeserializer(Region.class, new ReadRegion()))
          .enable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
          .build();

  private DesignDocument() {}

  public static String write(Design design) {
    return JSON.writeValueAsString(design);
  }

  /**
   * Reads what {@link #write} wrote.
   *
   * @throws Refusal when it is no design
   */
  public static Design read(String json) {
    try {
      return JSON.readValue(json, Design.class);
    } catch (JacksonException e) {
      throw new Refusal("This design can't be read: " + e.getOriginalMessage());
    }
  }

  private static final class WriteLength extends ValueSerializer<Length> {
    @Override
    public void serialize(Length value, JsonGenerator out, SerializationContext context) {
      out.writeString(value.toString());
    }
  }

  private static final class ReadLength extends ValueDeserializer<Length> {
    @Override
    public Length deserialize(JsonParser in, DeserializationContext context) {
      return Length.parse(in.getString(), Unit.MM);
    }
  }

  private static final class ReadRegion extends ValueDeserializer<Region> {
    @Override
    public Region deserialize(JsonParser in, DeserializationContext context) {
      return Region.parse(in.getString());
    }
  }
}
