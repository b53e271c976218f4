import { TopBar } from '../../parts/TopBar.tsx';
import { BackUp } from './BackUp.tsx';
import { Mishaps } from './Mishaps.tsx';
import { PutAsideRows, SpoiltRows } from './SpoiltRows.tsx';
import { Restore } from './Restore.tsx';
import { ShedsBefore } from './ShedsBefore.tsx';
import { StoreRoom } from './StoreRoom.tsx';

/** How the shed is kept safe: back-ups out and in, the room it takes, and what cannot be read. */
export function Keeping() {
  return (
    <div className="page">
      <TopBar />
      <main className="keeping">
        <section aria-label="Back-up">
          <h1>Back-up</h1>
          <BackUp />
          <StoreRoom />
        </section>
        <section aria-label="Bring a back-up in">
          <h1>Bring a back-up in</h1>
          <Restore />
          <ShedsBefore />
        </section>
        <section aria-label="What cannot be read">
          <h1>What cannot be read</h1>
          <SpoiltRows />
          <PutAsideRows />
          <h2>What went wrong</h2>
          <Mishaps />
        </section>
      </main>
    </div>
  );
}
