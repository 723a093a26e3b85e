// Days by the civil calendar: no zone and no summer time comes in, so that a day is the day of the place [P: days from civil].

/** A local day or moment, YYYY-MM-DD with or without THH:MM, as days since 1970. */
export function toDays(at: string): number {
  const [date = "", time = "00:00"] = at.split("T");
  const [year = 1970, month = 1, day = 1] = date.split("-").map(Number);
  const [hour = 0, minute = 0] = time.split(":").map(Number);
  const y = month <= 2 ? year - 1 : year;
  const era = Math.floor(y / 400);
  const ofEra = y - era * 400;
  const ofYear = Math.floor((153 * (month + (month > 2 ? -3 : 9)) + 2) / 5) + day - 1;
  const ofAge = ofEra * 365 + Math.floor(ofEra / 4) - Math.floor(ofEra / 100) + ofYear;
  return era * 146_097 + ofAge - 719_468 + (hour * 60 + minute) / 1_440;
}

/** The day, YYYY-MM-DD, so many days after 1970; parts of a day are cut off. */
export function toDate(days: number): string {
  const z = Math.floor(days) + 719_468;
  const era = Math.floor(z / 146_097);
  const ofAge = z - era * 146_097;
  const ofEra = Math.floor(
    (ofAge - Math.floor(ofAge / 1_460) + Math.floor(ofAge / 36_524) - Math.floor(ofAge / 146_096)) / 365,
  );
  const ofYear = ofAge - (365 * ofEra + Math.floor(ofEra / 4) - Math.floor(ofEra / 100));
  const mp = Math.floor((5 * ofYear + 2) / 153);
  const day = ofYear - Math.floor((153 * mp + 2) / 5) + 1;
  const month = mp < 10 ? mp + 3 : mp - 9;
  const year = ofEra + era * 400 + (month <= 2 ? 1 : 0);
  const two = (n: number) => String(n).padStart(2, "0");
  return `${String(year).padStart(4, "0")}-${two(month)}-${two(day)}`;
}

/** The day so many whole days later. */
export const addDays = (date: string, days: number): string => toDate(toDays(date) + days);
