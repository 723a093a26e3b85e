export const bow = "bow";
export const nose = "nose";
