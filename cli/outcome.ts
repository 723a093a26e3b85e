/** What a command prints and how it ends: 0 clean, 1 findings of the highest severity, 2 a file or a command not read. */
export type CliOutcome = { readonly code: 0 | 1 | 2; readonly out: string; readonly err: string };
