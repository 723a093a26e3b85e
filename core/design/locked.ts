import * as z from "./z";

/** Held where it is: an edit that would move it is refused until it is let go. */
export const locked = z.optional(z.literal(true));
