import { Modal } from 'antd';
import { Command } from 'cmdk';
import { useState } from 'react';
import { useLocation, useNavigate } from 'react-router';
import { type Action, actionsAt, boardsFound, fitOf } from './actions.ts';

/** Everything that can be done from here, found by typing some of it. */
export default function Palette({ onClose }: { onClose: () => void }) {
  const { pathname } = useLocation();
  const navigate = useNavigate();
  const [sought, seek] = useState('');
  const go = (address: string) => void navigate(address);
  const [actions] = useState(() => actionsAt(pathname, go));
  const all = [...actions, ...boardsFound(sought, go)];
  const groups = [...new Set(all.map(({ group }) => group))];
  const take = (action: Action) => {
    onClose();
    action.run();
  };
  return (
    <Modal
      open
      onCancel={onClose}
      footer={null}
      closable={false}
      width={560}
      title={<span className="visually-hidden">Do something, or open a board</span>}
      className="palette"
    >
      <Command label="Do something" loop filter={(name, typed, also) => fitOf(name, also ?? [], typed)}>
        <Command.Input autoFocus value={sought} onValueChange={seek} placeholder="Do something, or open a board" />
        <Command.List>
          <Command.Empty>Nothing here is called that.</Command.Empty>
          {groups.map((group) => (
            <Command.Group key={group} heading={group}>
              {all
                .filter((action) => action.group === group)
                .map((action) => (
                  <Command.Item
                    key={`${group} ${action.name}`}
                    value={action.name}
                    keywords={action.also ? action.also.split(' ') : []}
                    onSelect={() => take(action)}
                  >
                    <span>{action.name}</span>
                    {group === 'Boards' && action.also && <span className="quiet">for {action.also}</span>}
                    {action.key && <kbd>{action.key}</kbd>}
                  </Command.Item>
                ))}
            </Command.Group>
          ))}
        </Command.List>
      </Command>
    </Modal>
  );
}
