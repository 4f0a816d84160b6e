package neatlanyard.server.fleet;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import neatlanyard.core.fleet.Accounts;
import neatlanyard.core.fleet.CrewId;

/** Accounts in memory, written through: they are asked for with every request. One server owns its database. */
public final class KnownAccounts implements Accounts {
  private final Accounts kept;
  private final Map<CrewId, Account> known = new ConcurrentHashMap<>();

  public KnownAccounts(Accounts kept) {
    this.kept = kept;
    kept.all().forEach(a -> known.put(a.id(), a));
  }

  @Override
  public Optional<Account> find(CrewId id) {
    return Optional.ofNullable(known.get(id));
  }

  @Override
  public List<Account> all() {
    return known.values().stream().sorted(Comparator.comparing((Account a) -> a.id().value())).toList();
  }

  @Override
  public void save(Account account) {
    kept.save(account);
    known.put(account.id(), account);
  }
}
