/** Harnesses that kill, spoil and hurry a running Reglet; see docs/harness.md. */
package app.reglet.web.harness;
