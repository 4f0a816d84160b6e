package neatlanyard.core.units;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.testng.annotations.Test;

/** NIST SP 811 (2008), appendix B, and what altimeter settings are read as. */
public class UnitsTest {
  @Test
  public void pressure_both_ways() {
    assertThat(Units.hpaFromInHg(29.92)).isCloseTo(1013.2, within(0.05));
    assertThat(Units.inHgFromHpa(Units.hpaFromInHg(30.12))).isCloseTo(30.12, within(1e-9));
  }

  @Test
  public void speed_and_length() {
    assertThat(Units.ktFromMps(10)).isCloseTo(19.438, within(0.001));
    assertThat(Units.metresFromStatuteMiles(0.5)).isCloseTo(804.67, within(0.01));
  }
}
