import { Button } from 'antd';
import { useEffect, useState } from 'react';
import { askToLast, type Room, roomTaken, useShed } from '../../store/shed.ts';
import type { OfflineState } from '../../store/shedState.ts';

const megabytes = (value: number) => (value >= 1000 ? `${(value / 1000).toFixed(1)} GB` : `${value.toFixed(1)} MB`);

const OFFLINE_WORDS: Readonly<Record<OfflineState, string>> = {
  kept: 'The app itself is kept here too: it opens with no network and no server.',
  coming: 'The app itself is being fetched to be kept here: until then it opens while its server runs.',
  no: 'The app itself is not kept here: it opens while its server runs.',
};

/** The room the shed takes in this browser, and whether the browser may clear it by itself. */
export function StoreRoom() {
  const [room, setRoom] = useState<Room>();
  const [refused, setRefused] = useState(false);
  const offline = useShed((shed) => shed.offline);
  useEffect(() => {
    void roomTaken().then(setRoom, () => undefined);
  }, []);
  return (
    <>
      <h2>In this browser</h2>
      <p className="quiet above-0">{OFFLINE_WORDS[offline]}</p>
      {!room && <p className="quiet above-0">This browser does not say how much room there is.</p>}
      {room && (
        <table className="misfits" aria-label="Room in this browser">
          <tbody>
            <tr>
              <th scope="row">Taken</th>
              <td>
                {megabytes(room.used_MB)} of {megabytes(room.most_MB)}
              </td>
            </tr>
            <tr>
              <th scope="row">Pictures of it</th>
              <td>
                {room.photos}, {megabytes(room.photos_MB)}
              </td>
            </tr>
            <tr>
              <th scope="row">When space is short</th>
              <td>{room.lasting ? 'it is kept' : 'the browser may clear it'}</td>
            </tr>
          </tbody>
        </table>
      )}
      {room && !room.lasting && (
        <p className="quiet">
          <Button
            size="small"
            onClick={() =>
              void askToLast().then((lasting) => {
                setRoom({ ...room, lasting });
                setRefused(!lasting);
              })
            }
          >
            Ask the browser to keep it
          </Button>{' '}
          {refused && 'It says no for now: put the page among your bookmarks, or install it, and ask again.'}
        </p>
      )}
    </>
  );
}
