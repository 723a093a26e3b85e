/** What is put into a sentence: a name, a figure that is formatted already, a count. */
export type Shown = string | number;
