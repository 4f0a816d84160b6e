package neatlanyard.server.fleet;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import neatlanyard.core.fleet.AccessLog;
import neatlanyard.core.fleet.AccessLog.Failure;
import neatlanyard.core.fleet.Accounts;
import neatlanyard.core.fleet.Accounts.Account;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.fleet.Sessions.Session;
import neatlanyard.server.fleet.FleetViews.AccessLineView;
import neatlanyard.server.fleet.FleetViews.AccessView;
import neatlanyard.server.fleet.FleetViews.AccountView;
import neatlanyard.server.fleet.FleetViews.DeviceView;
import neatlanyard.server.fleet.FleetViews.FailureView;
import neatlanyard.server.fleet.FleetViews.OneTimePassword;
import neatlanyard.server.problem.Problem;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RestController;

/** Access given and taken away, by administrators alone, and what was done about it. */
@RestController
class AccessController {
  private static final int LINES_SHOWN = 200;
  private static final int FAILURES_SHOWN = 500;

  private final Accounts accounts;
  private final SignIns signIns;
  private final SessionDesk sessions;
  private final AccessLog log;

  AccessController(Accounts accounts, SignIns signIns, SessionDesk sessions, AccessLog log) {
    this.accounts = accounts;
    this.signIns = signIns;
    this.sessions = sessions;
    this.log = log;
  }

  @GetMapping("/api/accounts")
  List<AccountView> accounts(@AuthenticationPrincipal SignedIn who) {
    who.mustAdminister();
    Map<CrewId, List<Session>> open = sessions.open().stream().collect(Collectors.groupingBy(Session::who));
    return accounts.all().stream().map(a -> view(a, open.getOrDefault(a.id(), List.of()))).toList();
  }

  private static AccountView view(Account a, List<Session> open) {
    String state = a.disabled() ? "taken away" : a.mustChange() ? "one-time password not used yet" : "in use";
    return new AccountView(a.id().value(), a.name(), SignIns.words(a.role()), state, a.disabled(),
        open.stream().map(s -> new DeviceView(s.address(), s.begun(), s.ends())).toList());
  }

  @PostMapping("/api/accounts/{id}/one-time-password")
  OneTimePassword oneTime(@AuthenticationPrincipal SignedIn who, @PathVariable String id) {
    who.mustAdminister();
    Account a = account(id);
    return new OneTimePassword(id, a.name(), signIns.oneTime(who.id(), a.id(), a.name(), a.role()));
  }

  @PostMapping("/api/accounts/{id}/take-away")
  void takeAway(@AuthenticationPrincipal SignedIn who, @PathVariable String id) {
    who.mustAdminister();
    signIns.takeAway(who.id(), account(id).id(), "by hand");
  }

  @PostMapping("/api/accounts/{id}/sign-out")
  void signOut(@AuthenticationPrincipal SignedIn who, @PathVariable String id) {
    who.mustAdminister();
    signIns.signOutEverywhere(who.id(), account(id).id());
  }

  private Account account(String id) {
    return sessions.account(id).orElseThrow(() -> Problem.notFound("There is no sign-in of that name."));
  }

  @GetMapping("/api/access")
  AccessView access(@AuthenticationPrincipal SignedIn who) {
    who.mustAdminister();
    return new AccessView(
        log.latest(LINES_SHOWN).stream()
        .map(l -> new AccessLineView(l.at(), name(l.by().value()), l.act().words(), name(l.about()), l.words()))
        .toList(),
        inRows(log.failures(FAILURES_SHOWN)));
  }

  private String name(String id) {
    return sessions.account(id).map(Account::name).orElse(id);
  }

  /** The same name from the same address, in a row, is one line. */
  private static List<FailureView> inRows(List<Failure> failures) {
    List<FailureView> rows = new ArrayList<>();
    for (Failure f : failures) {
      if (!rows.isEmpty() && rows.getLast().name().equals(f.name()) && rows.getLast().address().equals(f.address())) {
        FailureView row = rows.removeLast();
        rows.add(new FailureView(row.last(), row.name(), row.address(), row.times() + 1));
      } else {
        rows.add(new FailureView(f.at(), f.name(), f.address(), 1));
      }
    }
    return rows;
  }
}
