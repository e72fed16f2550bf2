package app.reglet.web.people;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;

/** Somebody who signs in. */
@Entity
@Table(name = "person")
public class PersonEntity {
  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  @Version private long version;
  private String name;
  private String folded;
  private String role;
  private String password;
  private int epoch;
  private Instant made;

  protected PersonEntity() {}

  PersonEntity(String name, String folded, Role role, String password, Instant made) {
    this.name = name;
    this.folded = folded;
    this.role = role.id();
    this.password = password;
    this.made = made;
  }

  public Long getId() {
    return id;
  }

  public String getName() {
    return name;
  }

  public Role getRole() {
    Role known = Role.byId(role);
    return known == null ? Role.READER : known;
  }

  /** The password's bcrypt hash. */
  String getPassword() {
    return password;
  }

  /** Counts up when every session of this person ends. */
  public int getEpoch() {
    return epoch;
  }

  public Instant getMade() {
    return made;
  }

  void setRole(Role other) {
    this.role = other.id();
  }

  /** Another password; who was signed in with the old one is signed out. */
  void setPassword(String hash) {
    this.password = hash;
    this.epoch++;
  }

  void signOutEverywhere() {
    this.epoch++;
  }
}
