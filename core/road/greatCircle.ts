import { degToRad } from "../quantity/convert";

/** A place on the earth, degrees. */
export type Place = { readonly latDeg: number; readonly lonDeg: number };

/** Mean radius of the earth, km [P: IUGG, from memory, 99 %]. */
const EARTH_KM = 6_371.0088;

/**
 * Great-circle distance between two places, km, by the haversine. Latitude in [−90, 90]°, longitude in [−180, 180]°.
 * A road is longer. Source: spherical trigonometry [C]. Example: one degree of latitude → 111.195 km.
 */
export function measureGreatCircleKm(a: Place, b: Place): number {
  const [lat1, lat2] = [degToRad(a.latDeg), degToRad(b.latDeg)];
  const half = (lat2 - lat1) / 2;
  const across = degToRad(b.lonDeg - a.lonDeg) / 2;
  const h = Math.sin(half) ** 2 + Math.cos(lat1) * Math.cos(lat2) * Math.sin(across) ** 2;
  return 2 * EARTH_KM * Math.asin(Math.min(1, Math.sqrt(h)));
}
