import { formatNumber } from "./units";

const size = (bytes: number): string =>
  bytes >= 1e6 ? `${formatNumber(bytes / 1e6, 1)} MB` : `${formatNumber(Math.max(1, bytes / 1e3), 0)} kB`;

export const PHOTO_REFUSED = "That is no picture this browser reads. Take it as JPEG or PNG; nothing was changed.";

/** That a photograph was made smaller, and where it is. */
export const describeScaled = (from: number, to: number): string =>
  to < from
    ? `Kept in this browser, made smaller from ${size(from)} to ${size(to)}. It goes along in the file of the design.`
    : `Kept in this browser, ${size(to)}. It goes along in the file of the design.`;
