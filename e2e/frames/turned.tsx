import { ComparePlot, type CompareMode, type DrawnGroup } from '@green-beam/drawing';
import { useState } from 'react';
import { createRoot } from 'react-dom/client';

/** Forty groups of twenty-five, always the same ones. */
const groups: readonly DrawnGroup[] = Array.from({ length: 40 }, (_, at) => {
  const values = Array.from({ length: 25 }, (__, nth) => ({
    value: 20 + 0.05 * Math.sin(at * 7 + nth * 13) + 0.002 * at,
    trial: nth + 1,
    excluded: false,
  }));
  return {
    ...{ key: `g${at}`, name: `Vessel ${at + 1}`, mean: 20 + 0.002 * at, interval: 0.02, sd: 0.035 },
    ...{ reference: 20, tolerance: 0.1, values },
  };
});

/** A comparison that is turned and sorted anew. */
function Turned() {
  const [mode, setMode] = useState<CompareMode>('dots');
  const [back, setBack] = useState(false);
  return (
    <>
      <button type="button" onClick={() => setMode(mode === 'dots' ? 'rings' : 'dots')}>
        Turn
      </button>
      <button type="button" onClick={() => setBack((now) => !now)}>
        Sort
      </button>
      <output>{`${mode}, ${back ? 'sorted back' : 'in order'}`}</output>
      <ComparePlot groups={back ? [...groups].reverse() : groups} unit="mL" mode={mode} />
    </>
  );
}

const root = document.getElementById('root');
if (root) createRoot(root).render(<Turned />);
