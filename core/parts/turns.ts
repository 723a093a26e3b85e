import { measureLength, scale, subtract, type Vec3 } from "../geometry/vec";
import { radToDeg } from "../quantity/convert";

/** Angles bends are sold in, degrees [T: metric waste pipe; long bends are two of 45°]. */
export const BEND_ANGLES = [15, 30, 45, 67, 87] as const;

/** Degrees between two directions, [0, 180]; null where one has no length [C]. */
export function measureTurnDeg(a: Vec3, b: Vec3): number | null {
  const [la, lb] = [measureLength(a), measureLength(b)];
  if (la === 0 || lb === 0) return null;
  const [ua, ub] = [scale(a, 1 / la), scale(b, 1 / lb)];
  // half the angle by its sine and cosine keeps its accuracy near 0 and near 180
  const sum = { x: ua.x + ub.x, y: ua.y + ub.y, z: ua.z + ub.z };
  return 2 * radToDeg(Math.atan2(measureLength(subtract(ua, ub)), measureLength(sum)));
}

/** The bend as sold that comes nearest to an angle, degrees. */
export const findNearestBend = (angleDeg: number): number =>
  BEND_ANGLES.reduce((a, b) => (Math.abs(b - angleDeg) < Math.abs(a - angleDeg) ? b : a), BEND_ANGLES[0] as number);
