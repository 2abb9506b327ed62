/** How many rows hang on a question. */
export const Hanging = ({ rows }: { rows: number }) => <span className="soft">{rows === 1 ? '1 row.' : `${rows} rows.`}</span>;
