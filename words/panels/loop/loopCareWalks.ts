export const keepingIt = "Keeping it";
