package neatlanyard.core.record;

import java.util.List;

/**
 * The keys an installation has signed its records with. None is ever forgotten: old records are checked with old ones.
 */
public interface SealKeys {
  /** All of them, the newest first. */
  List<Seal.Key> all();

  void add(Seal.Key key);
}
