package app.reglet.web.cli;

import app.reglet.core.Refusal;
import java.nio.file.Files;
import java.nio.file.Path;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** A title's package on the command line, and where what is made of it goes. */
final class PackageOptions {
  @Parameters(paramLabel = "PACKAGE", description = "a title's package")
  private Path file;

  @Option(names = "--out", required = true, paramLabel = "DIR", description = "where to write")
  private Path out;

  /**
   * The package.
   *
   * @throws Refusal when there is no such file
   */
  Path file() {
    if (!Files.isRegularFile(file)) {
      throw new Refusal("There is no file “" + file + "”.");
    }
    return file.toAbsolutePath();
  }

  /**
   * The directory.
   *
   * @throws Refusal when it is a file
   */
  Path out() {
    if (Files.exists(out) && !Files.isDirectory(out)) {
      throw new Refusal("“" + out + "” is a file: name a directory to write to.");
    }
    return out;
  }
}
