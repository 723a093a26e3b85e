import type { Drain } from "../design/plumbing";
import type { Network } from "../falls/network";

type ListPumped = (network: Network) => ReadonlyMap<string, readonly Drain[]>;

// Only a rig with gear has a sump: what follows its hoses comes with that.
let list: ListPumped = () => new Map();
export const fitPumped = (own: ListPumped): void => {
  list = own;
};

/** Drains that end in a sump, by every tank its pump may send the water to. */
export const listPumped: ListPumped = (network) => list(network);
