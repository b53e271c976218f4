import { Button } from 'antd';
import { useState } from 'react';
import { useShed } from '../store/shed.ts';

/** Says that a newer app is there; it is taken only when that is asked, after everything is saved. */
export function UpdateBar() {
  const update = useShed((shed) => shed.update);
  const [later, setLater] = useState(false);
  if (!update || later) return null;
  return (
    <div className="backup-due" role="status">
      {update.where === 'here'
        ? 'A newer June Tide is here. What you do is saved first.'
        : 'A newer June Tide was taken in another window. What you do here is saved first.'}
      <Button size="small" type="primary" onClick={update.take}>
        {update.where === 'here' ? 'Take it' : 'Take it here too'}
      </Button>
      <Button size="small" type="text" onClick={() => setLater(true)}>
        Later
      </Button>
    </div>
  );
}
