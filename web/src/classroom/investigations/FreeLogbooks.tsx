import { endpoints } from '@green-beam/contract';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { call, sentenceFor } from '../../api';
import { CheckField } from '../../ui/fields';

/** Whether students may measure what they like, from a shape. */
export function FreeLogbooks({ classId, free }: { readonly classId: string; readonly free: boolean }) {
  const queries = useQueryClient();
  const change = useMutation({
    mutationFn: (freeLogbooks: boolean) =>
      call(endpoints.changeClass, { params: { classId }, body: { freeLogbooks } }),
    onSuccess: () => queries.invalidateQueries({ queryKey: ['investigations', classId] }),
  });
  return (
    <div className="mt-3">
      <CheckField
        label="Students may begin logbooks of their own, from a shape"
        checked={change.isPending ? change.variables : free}
        onChange={(now) => change.mutate(now)}
      />
      {change.isError && (
        <p role="alert" className="text-vermilion">
          {sentenceFor(change.error)}
        </p>
      )}
    </div>
  );
}
