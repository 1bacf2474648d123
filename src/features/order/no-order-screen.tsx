'use client';

import { Screen } from '@/interface/parts/screen';
import type { StartId } from '@/model/order/starts';
import type { Meeting } from '@/model/order/steps-of-start';
import { ChangesFold } from './changes-fold';
import type { OrderPage } from './queries';
import { StartForm } from './start-form';

interface Props {
  readonly page: OrderPage;
  readonly meetings: Readonly<Record<StartId, Meeting>>;
}

/** An engine without an order yet: a line to start from, or steps of its own. */
export const NoOrderScreen = ({ page, meetings }: Props) => (
  <Screen plain title="Order" lead="What may be done now, and what everything else waits for. Nothing is said yet.">
    <StartForm page={page} meetings={meetings} />
    <ChangesFold page={page} />
  </Screen>
);
