import { studentQuantile } from './student';
/**
 * How far two values agree, by u, the uncertainty of their difference, and its degrees of freedom: up to t for 97.5 % they
 * agree, up to t for 99.865 % it is doubtful, beyond that they do not; 2 and 3 times u where ν is infinite.
 */
export function agreement(
  difference: number,
  uncertainty: number,
  degrees = Infinity,
): { readonly times: number; readonly verdict: 'agree' | 'doubtful' | 'disagree' } {
  const times = difference === 0 ? 0 : Math.abs(difference) / uncertainty;
  const [agrees, doubtful] =
    degrees === Infinity ? [2, 3] : [studentQuantile(0.975, degrees), studentQuantile(0.99865, degrees)];
  return { times, verdict: times <= agrees ? 'agree' : times <= doubtful ? 'doubtful' : 'disagree' };
}
