export const keyboardShortcuts = "Keyboard shortcuts";
export const tabGoesFromPointTo = "Tab goes from point to point in the drawings.";
export const moveTheSelectedPoint1 = "Move the selected point 1 mm; tilt the rig when the level has focus";
export const same10MmOr1 = "Same, 10 mm or 1° at a time";
export const holdWhileDraggingATank = "Hold while dragging a tank: no snapping";
export const addThePointToThe = "Add the point to the selection, to move or line up several";
export const addABendToThe = "Add a bend to the drain shown";
/** Keys as they are printed on a keyboard. */
export const KEY_NAMES = { mod: "Ctrl", shift: "Shift", escape: "Esc", delete: "Del" };
