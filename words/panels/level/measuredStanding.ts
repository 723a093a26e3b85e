export const byThePhone = "By the phone,";
export const standSo = "Stand so";
