package app.reglet.web.jobs;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;

/** A file that is made in the background, or was. */
@Entity
@Table(name = "job")
public class Job {
  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  private String hash;

  @Column(name = "edition_id")
  private Long editionId;

  private String kind;
  private String wanted;
  private String name;

  @Enumerated(EnumType.STRING)
  private State state;

  private String message;
  private long bytes;
  private Instant ordered;
  private Instant finished;

  /** How far it is. */
  public enum State {
    WAITING,
    RUNNING,
    DONE,
    FAILED,
    CANCELLED
  }

  protected Job() {}

  Job(Order order, Instant ordered) {
    this.hash = order.hash();
    this.editionId = order.editionId();
    this.kind = order.kind();
    this.wanted = order.wanted();
    this.name = order.name();
    this.state = State.WAITING;
    this.message = "";
    this.ordered = ordered;
  }

  public Long getId() {
    return id;
  }

  public String getHash() {
    return hash;
  }

  public Long getEditionId() {
    return editionId;
  }

  public String getKind() {
    return kind;
  }

  /** What is made, as its maker writes it. */
  public String getWanted() {
    return wanted;
  }

  public String getName() {
    return name;
  }

  public State getState() {
    return state;
  }

  /** What is to be said of it: why it failed, or what was done to keep a limit. */
  public String getMessage() {
    return message;
  }

  public long getBytes() {
    return bytes;
  }

  public Instant getOrdered() {
    return ordered;
  }

  /** Whether nothing more will become of it. */
  public boolean isOver() {
    return state != State.WAITING && state != State.RUNNING;
  }

  public boolean isDone() {
    return state == State.DONE;
  }

  void again(Instant when) {
    state = State.WAITING;
    message = "";
    bytes = 0;
    ordered = when;
    finished = null;
  }

  void become(State next) {
    state = next;
  }

  void end(State how, String said, long size, Instant when) {
    state = how;
    message = said.length() > 1000 ? said.substring(0, 999) + "…" : said;
    bytes = size;
    finished = when;
  }
}
