const two = (n: number): string => String(n).padStart(2, "0");

/** The day as it is where the rig stands, YYYY-MM-DD. */
export function today(now = new Date()): string {
  return `${now.getFullYear()}-${two(now.getMonth() + 1)}-${two(now.getDate())}`;
}

/** The moment as it is where the rig stands, YYYY-MM-DDTHH:MM. */
export const thisMinute = (now = new Date()): string => `${today(now)}T${two(now.getHours())}:${two(now.getMinutes())}`;
