import { flaws, type ElectronicBalancePicture } from '@green-beam/core';
import {
  ElectronicBalance,
  electronicBalanceView,
  isSteady,
  type ElectronicBalanceState,
  type Load,
  electronicBalanceSpots,
} from '@green-beam/drawing';
import { Button } from '../../ui/Button';
import type { ApparatusProps } from './apparatus';
import { Stage } from './Stage';
import { useHands } from './useHands';
import { useTicking } from './useTicking';

/** The electronic balance in hand: what lies on the pan, the door, and the key that sets it to zero. */
export function ElectronicBalanceApparatus({ picture, handled, left, onHands }: ApparatusProps) {
  const balance = picture as ElectronicBalancePicture;
  const start = {
    load: handled ? 0 : 2,
    zeroed: handled ? 0 : { nothing: 0, pan: 1, vessel: 2 }[balance.tared],
    doorOpen: balance.doorOpen,
    seconds: handled ? 0 : balance.seconds,
    mended: !handled || balance.flaw === 'none',
  };
  const [hands, move] = useHands(start, left, onHands);
  // In the report of the hands 0 says that the zero key was never pressed; a load is one more.
  const state: ElectronicBalanceState = {
    ...hands,
    load: hands.load as Load,
    zeroed: hands.zeroed === 0 ? null : ((hands.zeroed - 1) as Load),
  };
  const drifts = handled && balance.flaw === 'warm' && !hands.mended && hands.load === 2;
  useTicking(balance.hops || drifts || (handled && !isSteady(state)), (passed) =>
    move({ seconds: hands.seconds + passed }),
  );
  const flaw = balance.flaw === 'none' || hands.mended ? null : flaws[balance.flaw];
  const put = (load: Load) => move({ load, seconds: 0 });
  const setToZero = () => move({ zeroed: hands.load + 1, seconds: 0 });
  const loads =
    balance.task === 'straight'
      ? (['Nothing', null, 'The ring', handled ? 'The whole crate' : null] as const)
      : (['Nothing', 'Vessel alone', 'Vessel with oil'] as const);
  return (
    <Stage
      label="Electronic balance"
      view={electronicBalanceView}
      says={`${flaw ? `${flaw.seen} ` : ''}${isSteady(state) && !drifts ? 'The display stands.' : 'The digits move.'}`}
      spots={() => electronicBalanceSpots}
      keys={handled ? { t: setToZero } : {}}
      tools={
        <>
          {(handled || balance.task === 'difference') && (
            <div role="group" aria-label="On the pan" className="flex flex-wrap gap-2">
              {loads.map(
                (name, load) =>
                  name && (
                    <Button
                      key={name}
                      look="bench"
                      aria-pressed={hands.load === load}
                      onClick={() => (handled ? put(load as Load) : move({ load }))}
                    >
                      {name}
                    </Button>
                  ),
              )}
            </div>
          )}
          {handled && (
            <>
              <Button look="bench" onClick={setToZero}>
                Zero <kbd className="font-mono text-sm opacity-80">t</kbd>
              </Button>
              {flaw && (
                <Button look="bench" onClick={() => move({ mended: true, seconds: 0 })}>
                  {flaw.mend}
                </Button>
              )}
              <Button look="bench" onClick={() => move({ doorOpen: !hands.doorOpen, seconds: 0 })}>
                {hands.doorOpen ? 'Shut the door' : 'Open the door'}
              </Button>
            </>
          )}
        </>
      }
    >
      <ElectronicBalance picture={balance} state={state} />
    </Stage>
  );
}
