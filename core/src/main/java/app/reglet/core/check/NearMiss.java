package app.reglet.core.check;

import app.reglet.core.measure.Length;

/** What is nearly, and not quite. */
public sealed interface NearMiss extends Found {
  @Override
  default <R> R accept(Found.Visitor<R> visitor) {
    return visitor.nearMiss(this);
  }

  /**
   * A piece stands beside the middle of its panel.
   *
   * @param off how far right of it; left when negative
   */
  record OffMiddle(String name, Length off, String panel) implements NearMiss {
    @Override
    public String code() {
      return "off-middle";
    }
  }

  /**
   * Edges of two pieces are nearly in line.
   *
   * @param left whether their left edges; else their right ones
   */
  record Apart(String name, String and, boolean left, Length by) implements NearMiss {
    @Override
    public String code() {
      return "edges-apart";
    }
  }
}
