import { Segmented, Select } from 'antd';
import { FAMILIES, FAMILY_WORDS } from '@june-tide/core/document';
import type { Order, Which } from './found.ts';

interface RackOrderProps {
  order: Order;
  setOrder: (order: Order) => void;
  which: Which;
  setWhich: (which: Which) => void;
  binned: number;
}

/** In which order boards stand, and which of them. */
export default function RackOrder({ order, setOrder, which, setWhich, binned }: RackOrderProps) {
  return (
    <>
      <Segmented<Order>
        aria-label="Order of the rack"
        value={order}
        onChange={setOrder}
        options={[
          { value: 'length', label: 'Length' },
          { value: 'litres', label: 'Litres' },
          { value: 'rider', label: 'Rider' },
          { value: 'date', label: 'Latest' },
        ]}
      />
      <Select<Which>
        aria-label="Which boards"
        value={which}
        onChange={setWhich}
        listHeight={420}
        className="fit-132"
        options={[
          { value: 'all', label: 'All families' },
          ...FAMILIES.map((value) => ({ value, label: FAMILY_WORDS[value].replace(/^./, (c) => c.toUpperCase()) })),
          { value: 'models', label: 'Models of the shop' },
          { value: 'orders', label: 'All but models' },
          { value: 'archived', label: 'Put away' },
          { value: 'bin', label: binned === 0 ? 'The bin, empty' : `The bin, ${binned}` },
        ]}
      />
    </>
  );
}
