/** The button that tells the keys, whether the list is there yet or not. */
export const keyTrigger = {
  className: 'rounded-sm border border-rule bg-white px-2 py-0.5',
  children: (
    <>
      <kbd className="font-mono">?</kbd> keys
    </>
  ),
} as const;
