package neatlanyard.core.fleet;

import java.time.ZoneId;

/**
 * An airfield.
 *
 * @param latitudeDeg north positive, -90..90
 * @param longitudeDeg east positive, -180..180
 * @param elevationFt feet above mean sea level
 */
public record Airfield(
    AirfieldId id, String name, double latitudeDeg, double longitudeDeg, int elevationFt, ZoneId zone) {}
