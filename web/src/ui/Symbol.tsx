/** `V_1`, `m_{120}` as a letter with its index. */
export function Symbol({ text }: { readonly text: string }) {
  const [letter, index] = text.split('_');
  return (
    <i>
      {letter}
      {index && <sub>{index.replace(/[{}]/g, '')}</sub>}
    </i>
  );
}
