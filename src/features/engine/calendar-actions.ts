'use server';

import Joi from 'joi';
import { nanoid } from 'nanoid';
import { CALENDAR_JSON, CALENDAR_KEY } from '@/model/calendar/calendar';
import { assertWritten } from '@/model/stale';
import { shopAction } from '@/server/shop-action';
import { keptCalendar } from './calendar';

const SECRET_LENGTH = 32;

const addressSchema = Joi.object<{ isOpen: boolean }, true>({ isOpen: Joi.boolean().required() });

/** Gives the feed an address, another one than before, or none. Whoever has the one before is told nothing more. */
export const calendarAddressAction = shopAction(addressSchema, ({ isOpen }, { shop, tell }) => {
  const { calendar, version } = keptCalendar(shop);
  const secret = isOpen ? nanoid(SECRET_LENGTH) : null;
  const kept = shop.settings.set(CALENDAR_KEY, CALENDAR_JSON.write({ ...calendar, secret }), version);
  assertWritten('The calendar', kept, { version });
  tell(isOpen ? 'The calendar has an address of its own' : 'The calendar has no address any more');
  return {};
});
