import { Button, Popover, Select, Segmented } from 'antd';
import { SettingOutlined } from '@ant-design/icons';
import type { ReactNode } from 'react';
import { Link, NavLink } from 'react-router';
import { changeSettings, useShed } from '../store/shed.ts';

/** How saving stands, quietly unless it failed. */
export function SaveMark() {
  const save = useShed((shed) => shed.save);
  if (save.kind === 'failed') {
    return (
      <span className="saved failed" role="alert">
        Not saved: {save.reason}. Your work is kept here and tried again.
      </span>
    );
  }
  return (
    <span className="saved" role="status">
      {save.kind === 'saving' ? 'Saving' : 'Saved'}
    </span>
  );
}

const STYLES = [
  { value: 'in8', label: 'inches, 1/8' },
  { value: 'in16', label: 'inches, 1/16' },
  { value: 'in32', label: 'inches, 1/32' },
  { value: 'decimal', label: 'decimal inches' },
  { value: 'cm', label: 'centimetres' },
  { value: 'mm', label: 'millimetres' },
] as const;

function ShopSettings() {
  const settings = useShed((shed) => shed.settings);
  return (
    <div style={{ width: 230, display: 'grid', gap: 12 }}>
      <label className="labelled">
        Lengths
        <Select
          aria-label="Lengths"
          value={settings.lengthStyle}
          options={[...STYLES]}
          onChange={(lengthStyle) => changeSettings({ lengthStyle })}
        />
      </label>
      <div className="labelled">
        Riders’ weight
        <Segmented
          value={settings.massUnit}
          options={['kg', 'lb']}
          onChange={(massUnit) => changeSettings({ massUnit: massUnit === 'lb' ? 'lb' : 'kg' })}
        />
      </div>
      <div className="labelled">
        Light in the bay
        <Segmented
          value={settings.light}
          options={[
            { value: 'day', label: 'Day' },
            { value: 'night', label: 'Night' },
          ]}
          onChange={(light) => changeSettings({ light: light === 'night' ? 'night' : 'day' })}
        />
      </div>
    </div>
  );
}

/** The bar over every screen: the brand leads home, the rest is the screen's own. */
export function TopBar({ title, children }: { title?: ReactNode; children?: ReactNode }) {
  return (
    <header className="bar">
      <Link to="/" className="brand">
        June Tide
      </Link>
      {title ?? (
        <nav aria-label="Screens">
          <NavLink to="/" end>
            Rack
          </NavLink>
          <NavLink to="/start">Start a board</NavLink>
        </nav>
      )}
      <div className="push">
        {children}
        <SaveMark />
        <Popover content={<ShopSettings />} trigger="click" placement="bottomRight">
          <Button aria-label="Units and light" icon={<SettingOutlined aria-hidden />} />
        </Popover>
      </div>
    </header>
  );
}
