import type { Conventions } from '../conventions';
import { functions } from '../figures';
import type { Input, ModelEquation } from '../uncertainty';
import { asStandard } from './modelInputs';

/** A term whose functions bring what they do not count with them, as inputs of value 0: one cause for each. */
export function withLeftOut(
  whole: ModelEquation,
  conventions: Conventions,
): { readonly term: ModelEquation; readonly inputs: readonly Input[] } {
  const inputs = new Map<string, Input>();
  const visit = (term: ModelEquation): ModelEquation => {
    switch (term.kind) {
      case 'function': {
        const of: ModelEquation = { ...term, of: visit(term.of) };
        const left = functions[term.name].leavesOut?.(term.water ? { water: term.water } : {});
        if (!left) return of;
        const name = left.what;
        const u = asStandard(left.bound, conventions);
        inputs.set(name, { name, value: 0, components: [{ source: name, kind: 'tolerance', u }] });
        return { kind: 'operation', operator: '+', left: of, right: { kind: 'input', name } };
      }
      case 'mean':
        return { ...term, of: term.of.map(visit) };
      case 'operation':
        return { ...term, left: visit(term.left), right: visit(term.right) };
      default:
        return term;
    }
  };
  return { term: visit(whole), inputs: [...inputs.values()] };
}
