/**
 * How far two values agree: |Δ| over their combined uncertainty u. Up to 2 they agree, up to 3 it is doubtful, beyond that they
 * do not (JCGM 100:2008 leaves the bound to the user; these are the usual ones for u at its standard size).
 */
export function agreement(
  difference: number,
  uncertainty: number,
): { readonly times: number; readonly verdict: 'agree' | 'doubtful' | 'disagree' } {
  const times = difference === 0 ? 0 : Math.abs(difference) / uncertainty;
  return { times, verdict: times <= 2 ? 'agree' : times <= 3 ? 'doubtful' : 'disagree' };
}
