/** How results stand in a table: one to a row; one row for each sample; one column for each sample. */
export const layouts = ['long', 'wide', 'transposed'] as const;
export type Layout = (typeof layouts)[number];
