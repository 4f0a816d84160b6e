package neatlanyard.store.fleet;

import static neatlanyard.store.generated.Tables.ACCOUNT;

import java.util.List;
import java.util.Optional;
import neatlanyard.core.fleet.Accounts;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.fleet.Role;
import neatlanyard.store.db.Database;
import neatlanyard.store.generated.tables.records.AccountRecord;

/** Accounts in the database. */
public final class StoredAccounts implements Accounts {
  private final Database db;

  public StoredAccounts(Database db) {
    this.db = db;
  }

  @Override
  public Optional<Account> find(CrewId id) {
    return db.rows(sql -> sql.selectFrom(ACCOUNT).where(ACCOUNT.ID.eq(id.value())), StoredAccounts::of).stream()
        .findFirst();
  }

  @Override
  public List<Account> all() {
    return db.rows(sql -> sql.selectFrom(ACCOUNT).orderBy(ACCOUNT.ID), StoredAccounts::of);
  }

  @Override
  public void save(Account a) {
    AccountRecord row =
        new AccountRecord(a.id().value(), a.name(), a.role().name(), a.passwordHash(), a.mustChange(), a.disabled());
    db.write(sql -> sql.insertInto(ACCOUNT).set(row).onDuplicateKeyUpdate().set(row).execute());
  }

  private static Account of(AccountRecord r) {
    return new Account(new CrewId(r.getId()), r.getName(), Role.valueOf(r.getRole()), r.getPasswordHash(),
        r.getMustChange(), r.getDisabled());
  }
}
