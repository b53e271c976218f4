import { Form, Select } from 'antd';
import { CHOP_WORDS, optionsOf, RUBBER_WORDS, STEEPNESS_WORDS, WAVE_POWER_WORDS, WAVE_SIZE_WORDS } from './words.ts';

const ITEMS = [
  ['size', 'Waves', WAVE_SIZE_WORDS],
  ['power', 'Their power', WAVE_POWER_WORDS],
  ['steepness', 'How steep', STEEPNESS_WORDS],
  ['chop', 'Chop', CHOP_WORDS],
  ['rubber', 'Wetsuit', RUBBER_WORDS],
] as const;

/** What the waves are like, as fields of an Ant Design form. */
export function WavesItems({ prefix }: { prefix: string }) {
  return ITEMS.map(([name, label, words]) => (
    <Form.Item key={name} name={[prefix, name]} label={label} className="below-8">
      <Select options={optionsOf<string>(words)} />
    </Form.Item>
  ));
}
