/** A real set-up in the room: it is not drawn, only named. */
export function RealStation({ tag, modelName }: { readonly tag: string; readonly modelName: string }) {
  return (
    <div className="on-bench grid min-h-64 place-items-center bg-bench p-8 text-center text-chalk">
      <div>
        <p className="mb-3 font-mono text-4xl">{tag}</p>
        <p>{modelName}. It stands in the room: go there and read it.</p>
      </div>
    </div>
  );
}
