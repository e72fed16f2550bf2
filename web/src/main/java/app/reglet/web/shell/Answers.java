package app.reglet.web.shell;

import app.reglet.core.Refusal;
import app.reglet.web.store.NoRoom;
import app.reglet.web.store.NotKept;
import app.reglet.web.store.Room;
import jakarta.servlet.RequestDispatcher;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.File;
import java.io.IOException;
import java.sql.SQLException;
import org.h2.api.ErrorCode;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.ConcurrencyFailureException;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.http.HttpStatus;
import org.springframework.http.HttpStatusCode;
import org.springframework.stereotype.Component;
import org.springframework.web.ErrorResponse;
import org.springframework.web.bind.MissingPathVariableException;
import org.springframework.web.bind.MissingRequestValueException;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import org.springframework.web.multipart.MaxUploadSizeExceededException;
import org.springframework.web.multipart.MultipartException;

/**
 * The one place where what went wrong becomes an answer, wherever it was noticed: in a controller,
 * in a filter, or by the server before either.
 */
@Component
public class Answers {
  private static final Logger LOG = LoggerFactory.getLogger(Answers.class);

  private static final String CONFLICT =
      "This was changed in another window at the same moment. Nothing was overwritten: reload the page and make your change again.";
  private static final String UNREADABLE =
      "The request was incomplete or not of the kind this page takes: go back and try again.";
  private static final String NOWHERE = "There is no page at this address.";
  private static final String FAILED =
      "Reglet failed at this. What was saved is safe; the log of the server says what happened.";

  private final Room room;

  Answers(Room room) {
    this.room = room;
  }

  /** What is answered to a failure. */
  public Answer to(Throwable failure, HttpServletRequest request) {
    Throwable e = failure;
    while (e instanceof ServletException && e.getCause() != null) {
      e = e.getCause();
    }
    if (e instanceof Refusal) {
      return new Answer(HttpStatus.BAD_REQUEST, e.getMessage());
    }
    if (e instanceof Gone) {
      return new Answer(HttpStatus.NOT_FOUND, e.getMessage());
    }
    if (e instanceof Conflict) {
      return new Answer(HttpStatus.CONFLICT, e.getMessage());
    }
    if (e instanceof Broken) {
      return new Answer(HttpStatus.UNPROCESSABLE_CONTENT, e.getMessage());
    }
    if (e instanceof Busy) {
      return new Answer(HttpStatus.SERVICE_UNAVAILABLE, e.getMessage());
    }
    if (e instanceof NoRoom) {
      LOG.warn("saving refused: no room on the disk");
      return new Answer(HttpStatus.INSUFFICIENT_STORAGE, e.getMessage());
    }
    if (e instanceof NotKept) {
      LOG.error("a change could not be written to the disk: {}", rootMessage(e));
      return new Answer(HttpStatus.INSUFFICIENT_STORAGE, e.getMessage());
    }
    if (e instanceof ConcurrencyFailureException || e instanceof DataIntegrityViolationException) {
      return new Answer(HttpStatus.CONFLICT, CONFLICT);
    }
    Answer database = ofDatabase(e);
    if (database != null) {
      return database;
    }
    Answer upload = ofUpload(e, Math.max(0, request.getContentLengthLong()));
    if (upload != null) {
      return upload;
    }
    if (e instanceof MissingPathVariableException) {
      return new Answer(HttpStatus.NOT_FOUND, NOWHERE);
    }
    if (e instanceof MethodArgumentTypeMismatchException m
        && m.getParameter()
            .hasParameterAnnotation(org.springframework.web.bind.annotation.PathVariable.class)) {
      return new Answer(HttpStatus.NOT_FOUND, NOWHERE);
    }
    if (e instanceof MissingRequestValueException
        || e instanceof org.springframework.beans.TypeMismatchException
        || isBadParameter(e)) {
      return new Answer(HttpStatus.BAD_REQUEST, UNREADABLE);
    }
    if (e instanceof ErrorResponse known && known.getStatusCode().is4xxClientError()) {
      return of(known.getStatusCode());
    }
    LOG.error("{} {} failed", request.getMethod(), request.getRequestURI(), failure);
    return new Answer(HttpStatus.INTERNAL_SERVER_ERROR, FAILED);
  }

  /** What is answered to a status that came without more. */
  public Answer of(HttpStatusCode code) {
    HttpStatus status = HttpStatus.resolve(code.value());
    if (status == null) {
      status = HttpStatus.INTERNAL_SERVER_ERROR;
    }
    return new Answer(
        status,
        switch (status) {
          case BAD_REQUEST -> "The request can't be read: go back and try again.";
          case FORBIDDEN -> "This request came from another web page and was not carried out.";
          case NOT_FOUND -> NOWHERE;
          case METHOD_NOT_ALLOWED ->
              "This address can't be opened like a page: go back to the titles.";
          case CONTENT_TOO_LARGE ->
              "The file is larger than 200 MB, the most Reglet takes: save it smaller.";
          default -> status.is4xxClientError() ? UNREADABLE : FAILED;
        });
  }

  private static Answer ofDatabase(Throwable e) {
    for (Throwable t = e; t != null; t = t.getCause() == t ? null : t.getCause()) {
      if (t instanceof SQLException s) {
        int code = s.getErrorCode();
        if (code == ErrorCode.DATABASE_IS_CLOSED
            || code == ErrorCode.OBJECT_CLOSED
            || code == ErrorCode.CONNECTION_BROKEN_1
            || code == ErrorCode.IO_EXCEPTION_1
            || code == ErrorCode.IO_EXCEPTION_2
            || code == ErrorCode.DATABASE_ALREADY_OPEN_1
            || code == ErrorCode.GENERAL_ERROR_1) {
          LOG.error("the database could not be used: {}", rootMessage(e));
          return new Answer(
              HttpStatus.SERVICE_UNAVAILABLE,
              "The data could not be read or written just now. Nothing that was saved before is lost. See that the disk has room, then reload the page.");
        }
        if (code == ErrorCode.FILE_CORRUPTED_1) {
          LOG.error("the database is damaged: {}", rootMessage(e));
          return new Answer(
              HttpStatus.SERVICE_UNAVAILABLE,
              "The database is damaged at this place. End Reglet and bring the newest backup back: ./reglet restore FILE.");
        }
      }
      if (t instanceof java.sql.SQLTransientConnectionException
          || t instanceof java.sql.SQLTimeoutException) {
        return new Answer(
            HttpStatus.SERVICE_UNAVAILABLE,
            "Too much is asked for at this moment: wait a little, then reload the page.");
      }
    }
    return null;
  }

  /**
   * What is answered to a file that did not come in.
   *
   * @param length of the request, bytes
   */
  private Answer ofUpload(Throwable e, long length) {
    String names = names(e);
    if (rootMessage(e).startsWith("Header section has more than")) {
      return new Answer(
          HttpStatus.BAD_REQUEST,
          "The file was not taken in: its name is too long. Shorten it to 200 characters and send it again.");
    }
    if (e instanceof MaxUploadSizeExceededException
        || names.contains("SizeLimitExceededException")) {
      return new Answer(
          HttpStatus.CONTENT_TOO_LARGE,
          "The file is larger than 200 MB, the most Reglet takes: save it smaller.");
    }
    if (names.contains("FileCountLimitExceededException")) {
      return new Answer(HttpStatus.BAD_REQUEST, "That are too many fields in one form.");
    }
    if (names.contains("FileUploadException") || names.contains("FileUploadByteCountLimit")) {
      return new Answer(HttpStatus.BAD_REQUEST, "The file did not arrive whole: send it again.");
    }
    if (isFromDisk(e) && isFull(length)) {
      LOG.warn("an upload was refused: no room on the disk");
      return new Answer(
          HttpStatus.INSUFFICIENT_STORAGE,
          "The disk is full, so the file could not be taken in. Make room on it and send the file again.");
    }
    if (e instanceof MultipartException) {
      return new Answer(HttpStatus.BAD_REQUEST, UNREADABLE);
    }
    return null;
  }

  private static boolean isFromDisk(Throwable e) {
    for (Throwable t = e; t != null; t = t.getCause() == t ? null : t.getCause()) {
      if (t instanceof IOException) {
        return true;
      }
    }
    return false;
  }

  /**
   * Whether so many bytes had no room: on the disk of the data, or on that of files on their way
   * in, which may be another. What a system says of it is a word in its language.
   */
  private boolean isFull(long length) {
    File coming = new File(System.getProperty("java.io.tmpdir"));
    boolean asked = coming.getTotalSpace() > 0;
    return room.left() < Room.KEPT_FREE + length || asked && coming.getUsableSpace() < length;
  }

  /** The server says so of parameters that are no UTF-8, or too many. */
  private static boolean isBadParameter(Throwable e) {
    String names = names(e);
    return names.contains("InvalidParameterException")
        || names.contains("HttpMessageNotReadableException")
        || names.contains("HttpMediaTypeException")
        || names.contains("RequestRejectedException")
        || names.contains("InvalidMimeTypeException")
        || names.contains("URLDecoder");
  }

  private static String names(Throwable e) {
    StringBuilder out = new StringBuilder();
    int depth = 0;
    for (Throwable t = e; t != null && depth++ < 12; t = t.getCause()) {
      for (Class<?> c = t.getClass(); c != Throwable.class && c != null; c = c.getSuperclass()) {
        out.append(c.getSimpleName()).append(' ');
      }
    }
    return out.toString();
  }

  private static String rootMessage(Throwable e) {
    Throwable t = e;
    while (t.getCause() != null && t.getCause() != t) {
      t = t.getCause();
    }
    return String.valueOf(t.getMessage()).lines().findFirst().orElse("");
  }

  /** Writes an answer from a place that has no pages: the page of errors is drawn by forwarding. */
  public void write(
      HttpServletRequest request, HttpServletResponse response, HttpStatus status, String sentence)
      throws IOException, ServletException {
    request.setAttribute(ShippedErrors.SENTENCE, sentence);
    request.setAttribute(RequestDispatcher.ERROR_STATUS_CODE, status.value());
    response.setStatus(status.value());
    request.getRequestDispatcher("/error").forward(request, response);
  }
}
