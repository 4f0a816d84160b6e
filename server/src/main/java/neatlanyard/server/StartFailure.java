package neatlanyard.server;

import neatlanyard.store.db.NotKept;
import org.springframework.boot.diagnostics.AbstractFailureAnalyzer;
import org.springframework.boot.diagnostics.FailureAnalysis;

/** Says in words why the server does not start on its database. */
class StartFailure extends AbstractFailureAnalyzer<NotKept> {
  @Override
  protected FailureAnalysis analyze(Throwable root, NotKept cause) {
    return new FailureAnalysis(String.valueOf(cause.getMessage()), cause.tryThis(), cause);
  }
}
