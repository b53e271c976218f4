import { Button, DatePicker, Form, Input, InputNumber, Select } from 'antd';
import dayjs, { type Dayjs } from 'dayjs';
import { FAMILIES, FAMILY_WORDS } from '@june-tide/core/document';
import { type Brief, USUAL_WAVES, type Waves } from '@june-tide/core/rider';
import { TypedBefore, useFormDraft } from '../../../parts/formDraft.tsx';
import { WavesItems } from '../../../parts/WavesItems.tsx';
import { wavesOf } from '../../../store/derived.ts';
import { edit, useShed } from '../../../store/shed.ts';
import { useBay } from '../useBay.ts';

interface BriefValues {
  waves: Waves;
  purpose: string;
  family?: Brief['family'];
  mustHaves: string;
  wishLitres?: number | null;
  targetMass?: number | null;
  dueOn?: Dayjs | null;
  againstId?: string;
}

/** What this order asks for: the waves and purpose of this one board, what it must have, when, and against which board. */
export function BriefForm({ onDone }: { onDone: () => void }) {
  const { record } = useBay();
  const riders = useShed((shed) => shed.riders);
  const records = useShed((shed) => shed.records);
  const { brief } = record;
  const initial: Partial<BriefValues> = {
    waves: wavesOf(record, riders) ?? USUAL_WAVES,
    purpose: brief?.purpose ?? '',
    mustHaves: brief?.mustHaves ?? '',
    wishLitres: brief?.wishLitres_L ?? null,
    targetMass: brief?.targetMass_kg ?? null,
    dueOn: brief?.dueOn ? dayjs(brief.dueOn) : null,
    ...(brief?.family ? { family: brief.family } : {}),
    ...(brief?.againstId ? { againstId: brief.againstId } : {}),
  };
  const [form] = Form.useForm<BriefValues>();
  const draft = useFormDraft(`brief:${record.id}`, form, initial);
  // A day is kept as it is written down.
  const { dueOn } = draft.values;
  const values = { ...draft.values, dueOn: dueOn ? dayjs(dueOn) : null };
  const keep = (values: BriefValues) => {
    const next: Brief = {
      waves: values.waves,
      purpose: values.purpose.trim(),
      mustHaves: values.mustHaves.trim(),
      ...(values.family ? { family: values.family } : {}),
      ...(typeof values.wishLitres === 'number' ? { wishLitres_L: values.wishLitres } : {}),
      ...(typeof values.targetMass === 'number' ? { targetMass_kg: values.targetMass } : {}),
      ...(values.dueOn ? { dueOn: values.dueOn.format('YYYY-MM-DD') } : {}),
      ...(values.againstId ? { againstId: values.againstId } : {}),
    };
    if (edit(record.id, 'brief', (r) => ({ ...r, brief: next })).ok) draft.drop();
    onDone();
  };
  return (
    <Form<BriefValues>
      form={form}
      layout="vertical"
      initialValues={values}
      onValuesChange={draft.typed}
      onFinish={keep}
      requiredMark={false}
      size="small"
    >
      <TypedBefore draft={draft} />
      <Form.Item name="purpose" label="What this board is for" className="below-6">
        <Input maxLength={500} placeholder="Winter step-up for the outer bank" />
      </Form.Item>
      <div className="grid-2">
        <WavesItems prefix="waves" />
        <Form.Item name="family" label="Family wished" className="below-6">
          <Select allowClear options={FAMILIES.map((value) => ({ value, label: FAMILY_WORDS[value] }))} />
        </Form.Item>
        <Form.Item name="wishLitres" label="Litres wished" className="below-6">
          <InputNumber min={10} max={200} step={0.5} suffix="L" className="fit-all" />
        </Form.Item>
        <Form.Item name="targetMass" label="Weight wished, finished" className="below-6">
          <InputNumber min={1} max={20} step={0.1} suffix="kg" className="fit-all" />
        </Form.Item>
        <Form.Item name="dueOn" label="Due" className="below-6">
          <DatePicker className="fit-all" />
        </Form.Item>
        <Form.Item name="againstId" label="Judged against" className="below-6">
          <Select
            allowClear
            showSearch
            optionFilterProp="label"
            placeholder="their last board"
            options={Object.values(records)
              .filter((other) => other.id !== record.id)
              .map((other) => ({ value: other.id, label: `${other.board.name} ${other.number}` }))}
          />
        </Form.Item>
      </div>
      <Form.Item name="mustHaves" label="It must have" className="below-8">
        <Input maxLength={500} placeholder="Five boxes, a red pinline" />
      </Form.Item>
      <div className="row-of-tools above-0">
        <Button type="primary" htmlType="submit">
          Keep the brief
        </Button>
        <Button
          onClick={() => {
            draft.drop();
            onDone();
          }}
        >
          Cancel
        </Button>
      </div>
    </Form>
  );
}
