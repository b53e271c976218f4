import { Button, Form, Input, InputNumber, Select } from 'antd';
import { ABILITIES, type Rider } from '@june-tide/core/rider';
import { type EditResult, useShed } from '../store/shed.ts';
import { today } from '../store/today.ts';
import { TypedBefore, useFormDraft } from './formDraft.tsx';
import { useLengthStyle } from './Measure.tsx';
import { RiddenBoards } from './RiddenBoards.tsx';
import { readHeight, readMass, riderOf, type RiderValues, valuesOf, type Writing } from './riderValues.ts';
import { ABILITY_WORDS, FITNESS_WORDS, optionsOf, STANCE_WORDS } from './words.ts';
import { WavesItems } from './WavesItems.tsx';

interface RiderFormProps {
  rider?: Rider;
  /** Keeps it, or says why it cannot be kept. */
  onKeep: (rider: Rider) => EditResult;
  onCancel?: () => void;
}

/** A rule of a field: what is typed can be read. */
const readable = (read: (text: string) => { ok: true } | { ok: false; reason: string }) => ({
  validator: (_: unknown, text: string | undefined) => {
    const parsed = read(text ?? '');
    return parsed.ok ? Promise.resolve() : Promise.reject(new Error(parsed.reason));
  },
});

/** A rider's card. Weight and height are typed as people write them. */
export function RiderForm({ rider, onKeep, onCancel }: RiderFormProps) {
  const [form] = Form.useForm<RiderValues>();
  const massUnit = useShed((shed) => shed.settings.massUnit);
  const writing: Writing = { mass: massUnit, length: useLengthStyle() };
  const initial = valuesOf(rider, writing);
  const draft = useFormDraft(`rider:${rider?.id ?? 'new'}`, form, initial);
  const keep = (values: RiderValues) => {
    const read = riderOf(values, initial, rider, today(), writing);
    const kept = read && onKeep(read);
    if (!kept) form.setFields([{ name: 'mass', errors: ['These numbers do not fit a rider; check weight and age.'] }]);
    else if (!kept.ok) form.setFields([{ name: 'mass', errors: kept.issues.map(({ words }) => words) }]);
    else draft.drop();
  };

  return (
    <Form
      form={form}
      layout="vertical"
      initialValues={draft.values}
      onValuesChange={draft.typed}
      onFinish={keep}
      requiredMark={false}
      size="middle"
    >
      <TypedBefore draft={draft} />
      <div className="grid-2">
        <Form.Item
          name="name"
          label="First name"
          rules={[{ required: true, whitespace: true, message: 'Who is it for?' }]}
          className="below-8"
        >
          <Input maxLength={60} autoComplete="off" />
        </Form.Item>
        <Form.Item name="mass" label="Weight" rules={[readable((text) => readMass(text, writing))]} className="below-8">
          <Input placeholder={massUnit === 'kg' ? '76 kg' : '168 lb'} autoComplete="off" />
        </Form.Item>
        <Form.Item
          name="height"
          label="Height"
          rules={[readable((text) => readHeight(text, writing))]}
          className="below-8"
        >
          <Input placeholder="5'10" autoComplete="off" />
        </Form.Item>
        <Form.Item name="age" label="Age" rules={[{ required: true, message: 'How old?' }]} className="below-8">
          <InputNumber min={4} max={110} precision={0} className="fit-all" />
        </Form.Item>
      </div>
      <Form.Item name="ability" label="What they do on a wave" className="below-8">
        <Select options={ABILITIES.map((value) => ({ value, label: ABILITY_WORDS[value] }))} />
      </Form.Item>
      <div className="grid-2">
        <Form.Item
          name="surfsAWeek"
          label="Surfs a week"
          rules={[{ required: true, message: 'How often?' }]}
          className="below-8"
        >
          <InputNumber min={0} max={21} step={0.5} className="fit-all" />
        </Form.Item>
        <Form.Item name="stance" label="Stance" className="below-8">
          <Select options={optionsOf(STANCE_WORDS)} />
        </Form.Item>
        <Form.Item name="fitness" label="Fitness" className="below-8">
          <Select options={optionsOf(FITNESS_WORDS)} />
        </Form.Item>
        <Form.Item noStyle shouldUpdate={(before: RiderValues, now: RiderValues) => before.stance !== now.stance}>
          {({ getFieldValue }) => getFieldValue('stance') === 'unknown' && <StanceQuestions />}
        </Form.Item>
      </div>
      <div className="grid-2">
        <WavesItems prefix="waves" />
      </div>
      <RiddenBoards />
      <div className="in-a-row">
        <Button type="primary" htmlType="submit">
          Keep rider
        </Button>
        {onCancel && (
          <Button
            onClick={() => {
              draft.drop();
              onCancel();
            }}
          >
            Cancel
          </Button>
        )}
      </div>
    </Form>
  );
}

/** Two questions whose answers say how somebody stands who does not know. */
function StanceQuestions() {
  return (
    <>
      <Form.Item name="turnsBegin" label="A turn begins on" className="below-8">
        <Select
          allowClear
          options={[
            { value: 'front', label: 'the front foot' },
            { value: 'both', label: 'both' },
            { value: 'back', label: 'the back foot' },
          ]}
        />
      </Form.Item>
      <Form.Item name="dents" label="Old decks are dented" className="below-8">
        <Select
          allowClear
          options={[
            { value: 'front', label: 'under the front foot' },
            { value: 'even', label: 'evenly' },
            { value: 'back', label: 'under the back foot' },
          ]}
        />
      </Form.Item>
    </>
  );
}
