/** A file to be read, chosen by what looks like a link. The same file can be chosen again. */
export function FileChoice({
  label,
  accept,
  onFile,
}: {
  readonly label: string;
  readonly accept: string;
  readonly onFile: (file: File) => Promise<void>;
}) {
  return (
    <label className="cursor-pointer underline decoration-edge underline-offset-4 focus-within:outline-3 focus-within:outline-water">
      {label}
      <input
        type="file"
        accept={accept}
        className="sr-only"
        onChange={async ({ currentTarget }) => {
          const file = currentTarget.files?.[0];
          if (!file) return;
          await onFile(file);
          currentTarget.value = '';
        }}
      />
    </label>
  );
}
