import { BottomBench } from './BottomBench.tsx';
import { DeckBench } from './DeckBench.tsx';
import { useBay } from '../useBay.ts';
import { FinsBench } from './FinsBench.tsx';
import { FoilBench, OutlineBench, RockerBench } from './CurveBenches.tsx';
import { MakeBench } from './MakeBench.tsx';
import { CheckBench } from './CheckBench.tsx';
import { RideBench } from './ride/RideBench.tsx';
import { RiderBench } from './RiderBench.tsx';
import { RailsBench } from './RailsBench.tsx';

const BENCHES = {
  rider: RiderBench,
  outline: OutlineBench,
  rocker: RockerBench,
  foil: FoilBench,
  deck: DeckBench,
  rails: RailsBench,
  bottom: BottomBench,
  fins: FinsBench,
  check: CheckBench,
  make: MakeBench,
  ride: RideBench,
} as const;

/** The bench of the current step. */
export function StepBench() {
  const { step } = useBay();
  const Bench = BENCHES[step];
  return <Bench />;
}
