/** What went wrong, beside the field where it did; nothing where nothing did. */
export const FieldTrouble = ({ says }: { readonly says: string | null }) =>
  says === null ? null : (
    <p role="alert" className="my-2 border-l-4 border-vermilion pl-3 text-sm">
      {says}
    </p>
  );
