/** The days of the week as choices; 1 is Monday (ISO 8601). */
export const weekdays = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'].map((label, index) => ({
  value: index + 1,
  label,
}));

/** The same where several stand side by side. */
export const weekdaysInShort = weekdays.map(({ value, label }) => ({ value, label: label.slice(0, 3) }));
