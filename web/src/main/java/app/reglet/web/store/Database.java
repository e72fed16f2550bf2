package app.reglet.web.store;

import com.zaxxer.hikari.HikariConfig;
import com.zaxxer.hikari.HikariDataSource;
import java.io.IOException;
import java.nio.file.Files;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.concurrent.atomic.AtomicLong;
import java.util.concurrent.locks.ReentrantLock;
import org.h2.engine.SessionLocal;
import org.h2.jdbc.JdbcConnection;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.jdbc.datasource.AbstractDataSource;
import org.springframework.stereotype.Component;

/**
 * The database: connections to it, and the promise that what was settled is on the disk.
 *
 * <p>H2 acknowledges a commit before it is written. {@link #settle} writes and forces everything
 * that was committed before it was called; changes that come in at the same moment share one write.
 *
 * <p>When a write fails, H2 closes the database at once, in the state of the last write that did
 * not fail. It is opened again for the next who asks, so that reading goes on and saving works as
 * soon as there is room.
 */
@Component
public class Database extends AbstractDataSource implements DisposableBean {
  private static final Logger LOG = LoggerFactory.getLogger(Database.class);
  private static final int CONNECTIONS = 8;
  private static final long WAIT_MS = 10_000;

  static {
    // every connection is tried before it is lent: one to a database that closed itself is no use
    System.setProperty("com.zaxxer.hikari.aliveBypassWindowMs", "0");
  }

  private final DataDirectory data;
  private final Room room;
  private final String url;
  private final AtomicLong asked = new AtomicLong();
  private final ReentrantLock settling = new ReentrantLock();
  private long settled;
  private volatile int openings;
  private volatile HikariDataSource pool;
  private volatile Connection own;

  public Database(DataDirectory data, Room room) throws SQLException {
    this.data = data;
    this.room = room;
    this.url = DatabaseFile.url(data);
    open();
  }

  private void open() throws SQLException {
    Connection first = DatabaseFile.connect(url);
    HikariConfig config = new HikariConfig();
    config.setPoolName("reglet");
    config.setJdbcUrl(url);
    config.setUsername(DatabaseFile.USER);
    config.setPassword("");
    config.setMaximumPoolSize(CONNECTIONS);
    config.setMinimumIdle(CONNECTIONS);
    config.setMaxLifetime(0);
    config.setIdleTimeout(0);
    config.setConnectionTimeout(WAIT_MS);
    config.setInitializationFailTimeout(1);
    try {
      pool = new HikariDataSource(config);
      own = first;
      openings++;
    } catch (RuntimeException e) {
      first.close();
      throw new SQLException("the database can't be opened again", e);
    }
  }

  @Override
  public Connection getConnection() throws SQLException {
    if (!alive()) {
      reopen();
    }
    return pool.getConnection();
  }

  @Override
  public Connection getConnection(String username, String password) throws SQLException {
    return getConnection();
  }

  /** Whether the database answers. */
  public boolean alive() {
    Connection c = own;
    try {
      // a query without a table is answered by a closed database too; its store knows
      return c != null
          && c.unwrap(JdbcConnection.class).getSession() instanceof SessionLocal session
          && !session.getDatabase().getStore().getMvStore().isClosed();
    } catch (SQLException | RuntimeException e) {
      return false;
    }
  }

  /** Opens the database again when it closed itself; whether it answers then. */
  public boolean revive() {
    try {
      reopen();
      return alive();
    } catch (SQLException e) {
      return false;
    }
  }

  /** All connections to the closed one go first: H2 knows an open database by its name alone. */
  private synchronized void reopen() throws SQLException {
    if (alive()) {
      return;
    }
    if (pool != null) {
      LOG.warn("the database closed itself after a write failed; opening it again");
      pool.close();
      pool = null;
    }
    if (own != null) {
      try {
        own.close();
      } catch (SQLException e) {
        LOG.debug("closing a connection to a closed database", e);
      }
      own = null;
    }
    open();
    LOG.info("the database is open again");
  }

  /**
   * Returns when everything committed before is on the disk.
   *
   * @throws NotKept when it could not be written
   */
  public void settle() {
    settle(openings);
  }

  /** How often the database was opened; what was committed to an earlier opening may be gone. */
  int openings() {
    return openings;
  }

  /** The same for what was committed while the database was open for that time. */
  void settle(int opening) {
    long mine = asked.incrementAndGet();
    settling.lock();
    try {
      if (opening != openings) {
        throw new SQLException("the database closed itself after the commit");
      }
      if (settled >= mine) {
        return; // somebody's write that began later took it along
      }
      long upTo = asked.get();
      Connection c = own;
      if (c == null) {
        throw new SQLException("the database is closed");
      }
      try (Statement s = c.createStatement()) {
        s.execute("checkpoint sync");
      }
      settled = upTo;
    } catch (SQLException e) {
      throw new NotKept(
          "Not saved: the disk that holds Reglet's data could not be written. Nothing that was saved before is lost. See that it has room, then reload the page and make the change again.",
          e);
    } finally {
      settling.unlock();
    }
  }

  /** Closes the database; what changes replaced is thrown out of the file, if there is room to. */
  @Override
  public void destroy() {
    if (pool != null) {
      pool.close();
    }
    Connection c = own;
    if (c == null) {
      return;
    }
    try (c;
        Statement s = c.createStatement()) {
      s.execute(room.left() > 2 * size() ? "shutdown compact" : "shutdown");
    } catch (SQLException e) {
      LOG.warn("the database could not be closed in order: {}", e.getMessage());
    }
  }

  /** Bytes of the database's file. */
  public long size() {
    try {
      return Files.size(data.databaseFile());
    } catch (IOException e) {
      return 0;
    }
  }
}
