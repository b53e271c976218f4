import { Image } from 'antd';
import { useEffect, useState } from 'react';
import { photoAddress } from '../store/shed.ts';

/** Pictures by their ids, each as large as the screen on a press; one that is not in this browser is left out. */
export function Photos({ ids, of = 'the ride' }: { ids: readonly string[]; of?: string }) {
  const [addresses, setAddresses] = useState<readonly string[]>([]);
  const key = ids.join();
  useEffect(() => {
    let gone = false;
    const wanted = key === '' ? [] : key.split(',');
    void Promise.all(wanted.map(photoAddress)).then((found) => {
      if (!gone) setAddresses(found.filter((address) => address !== undefined));
    });
    return () => {
      gone = true;
    };
  }, [key]);
  if (addresses.length === 0) return null;
  return (
    <div className="photos">
      <Image.PreviewGroup>
        {addresses.map((address, i) => (
          <Image key={address} src={address} alt={`Picture ${i + 1} of ${of}`} height={54} />
        ))}
      </Image.PreviewGroup>
    </div>
  );
}
