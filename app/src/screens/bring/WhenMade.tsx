import { Button } from 'antd';
import { type ReactNode, useEffect, useRef, useState } from 'react';

interface WhenMadeProps {
  /** Is what stands there made of all that is asked by now? */
  current: boolean;
  onPut: () => void;
  children: ReactNode;
}

/** Takes what was made: at once when it is made of all that was asked, and else as soon as it is. It is never dead under the hand. */
export function WhenMade({ current, onPut, children }: WhenMadeProps) {
  const [waits, setWaits] = useState(false);
  const put = useRef(onPut);
  useEffect(() => {
    put.current = onPut;
  });
  useEffect(() => {
    if (!waits || !current) return;
    setWaits(false);
    put.current();
  }, [waits, current]);
  return (
    <Button type="primary" loading={waits} onClick={() => setWaits(true)}>
      {children}
    </Button>
  );
}
