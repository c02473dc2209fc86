import type { PresetView } from '@green-beam/core';
import { Figure } from '../ui/Figure';

/** What each ready-made set of house rules would write of a reading, what it would accept, and why. */
export function PresetTable({ presets }: { readonly presets: readonly PresetView[] }) {
  return (
    <div className="overflow-x-auto">
      <table className="w-full border-collapse text-sm">
        <caption className="sr-only">What other house rules would accept</caption>
        <thead>
          <tr className="border-b border-ink text-left align-bottom">
            <th scope="col" className="py-1 pr-3">
              House rules
            </th>
            <th scope="col" className="py-1 pr-3">
              Writes
            </th>
            <th scope="col" className="py-1">
              Accepts
            </th>
          </tr>
        </thead>
        <tbody>
          {presets.map(({ preset, text, unit, from, to, why }) => (
            <tr key={preset} className="border-b border-rule align-top">
              <th scope="row" className="py-1.5 pr-3 text-left font-bold">
                {preset}
              </th>
              <td className="py-1.5 pr-3 whitespace-nowrap">
                <Figure text={text} /> {unit}
              </td>
              <td className="py-1.5">
                <span className="whitespace-nowrap font-mono">{from === to ? from : `${from} to ${to}`}</span>
                <span className="block text-soft">{why}</span>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
