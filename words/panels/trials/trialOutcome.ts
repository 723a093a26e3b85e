export const byEye = "By eye; nothing was measured.";
