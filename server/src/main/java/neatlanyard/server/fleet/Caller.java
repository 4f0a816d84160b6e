package neatlanyard.server.fleet;

import java.net.Inet6Address;
import java.net.InetAddress;
import java.net.UnknownHostException;
import java.util.HexFormat;

/**
 * Where a request comes from.
 *
 * @param address the network address; of an IPv6 one the 64 bits that a network gives to one subscriber
 * @param device what its device cookie says; empty where nobody was signed in on it before
 */
record Caller(String address, String device) {
  private static final int LONGEST_NAME = 40;
  private static final int SUBSCRIBER_BYTES = 8;

  static String address(String remote) {
    try {
      InetAddress a = InetAddress.getByName(remote);
      if (a.isLoopbackAddress()) {
        return "this machine";
      }
      return a instanceof Inet6Address
          ? HexFormat.of().formatHex(a.getAddress(), 0, SUBSCRIBER_BYTES) + "/64" : a.getHostAddress();
    } catch (UnknownHostException e) {
      return "unknown";
    }
  }

  /** A name that was typed, no longer than one can be, in characters that can be shown. */
  static String cut(String name) {
    String shown = name.strip().replaceAll("[^\\x20-\\x7e]", "?");
    return shown.substring(0, Math.min(shown.length(), LONGEST_NAME));
  }
}
