/**
 * Fonts that people bring: read as OpenType (ISO/IEC 14496-22) and written anew as plain TrueType,
 * so that everything after it draws them like those that ship. Coordinates are font units, y up,
 * origin on the baseline.
 */
package app.reglet.press.font;
