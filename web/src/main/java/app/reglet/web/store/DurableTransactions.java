package app.reglet.web.store;

import jakarta.persistence.EntityManagerFactory;
import org.springframework.orm.jpa.JpaTransactionManager;
import org.springframework.stereotype.Component;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.DefaultTransactionStatus;

/**
 * Transactions whose commit returns when the change is on the disk, and that do not begin when
 * there is no room for one.
 */
@Component("transactionManager")
public class DurableTransactions extends JpaTransactionManager {
  private static final long serialVersionUID = 1L;

  private final transient Database database;
  private final transient Room room;

  public DurableTransactions(EntityManagerFactory factory, Database database, Room room) {
    super(factory);
    this.database = database;
    this.room = room;
  }

  @Override
  protected void doBegin(Object transaction, TransactionDefinition definition) {
    if (!definition.isReadOnly()) {
      room.need(0);
    }
    super.doBegin(transaction, definition);
  }

  @Override
  protected void doCommit(DefaultTransactionStatus status) {
    int opening = database.openings();
    super.doCommit(status);
    if (!status.isReadOnly()) {
      database.settle(opening);
    }
  }
}
