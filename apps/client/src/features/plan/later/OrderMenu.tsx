import { lent } from './lent';

const { DropMenu } = lent();

interface Props<Order extends string> {
  order: Order;
  orders: readonly Order[];
  set(order: NoInfer<Order>): void;
}

/** In which order a list is. */
export const OrderMenu = <Order extends string>({ order, orders, set }: Props<Order>) => (
  <DropMenu
    icon="sort"
    label={`By ${order}`}
    says={`In order by ${order}. Change.`}
    entries={orders.map((each) => ({
      title: `By ${each}`,
      icon: each === order ? 'check' : 'blank',
      onPress: () => set(each),
    }))}
  />
);
