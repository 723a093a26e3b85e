export const also = "also";
export const allWords = "All words, in the handbook";
