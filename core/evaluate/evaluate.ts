import "./fitted";

// The whole evaluation, with every area in its place. A page that opens many rigs takes `judge` by itself and `fitted` where a
// rig has something of it.
export { evaluate } from "./judge";
