/** The headings of a plain table. */
export const Headings = ({ of }: { readonly of: readonly string[] }) => (
  <thead>
    <tr className="border-b-2 border-ink text-left">
      {of.map((heading) => (
        <th key={heading} scope="col" className="py-1 pr-4">
          {heading}
        </th>
      ))}
    </tr>
  </thead>
);
