import "./fittedFindings";

// Every finding in words. A page that loads the areas of some rigs only when it has one takes `tellFinding` by itself.
export { describeFinding, SEVERITY_NAMES } from "./tellFinding";
