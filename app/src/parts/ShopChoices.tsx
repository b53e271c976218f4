import { Segmented, Select } from 'antd';
import { changeSettings, useShed } from '../store/shed.ts';

const STYLES = [
  { value: 'in8', label: 'inches, 1/8' },
  { value: 'in16', label: 'inches, 1/16' },
  { value: 'in32', label: 'inches, 1/32' },
  { value: 'decimal', label: 'decimal inches' },
  { value: 'cm', label: 'centimetres' },
  { value: 'mm', label: 'millimetres' },
] as const;

/** Units and light: what is changed often enough to be at hand on every screen. */
export default function ShopChoices() {
  const settings = useShed((shed) => shed.settings);
  return (
    <>
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
    </>
  );
}
