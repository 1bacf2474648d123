import { describe, expect, test } from '@jest/globals';
import Joi from 'joi';
import { problemOf } from '@/server/problem';

const said = (schema: Joi.Schema, value: unknown) => {
  const { error } = Joi.object({ 'detail.length_mm': schema }).validate({ 'detail.length_mm': value });
  if (!error) throw new Error('it was not refused');
  return problemOf(error).message;
};

describe('a refusal by the form of a field', () => {
  test.each([
    [Joi.number().max(2000), 2001, 'This must be at most 2000.'],
    [Joi.number().greater(0), 0, 'This must be above 0.'],
    [Joi.number().positive(), -1, 'This must be above 0.'],
    [Joi.number().integer(), 1.5, 'This must be a whole number.'],
    [Joi.number(), 'wide', 'This must be a number.'],
    [Joi.string().max(3), 'four', 'This has more than 3 characters.'],
    [Joi.string(), '', 'This is empty.'],
    [Joi.string().required(), undefined, 'This is missing.'],
    [Joi.string().valid('a'), 'b', 'This is not one of those offered.'],
    [Joi.array().max(1), [1, 2], 'These are more than 1.'],
  ])('says what is wrong and no name of the program', (schema, value, sentence) =>
    expect(said(schema, value)).toBe(sentence),
  );
  test('a name that was given to be read is read', () => {
    expect(said(Joi.number().max(48).label('the cylinders'), 49)).toBe('The cylinders must be at most 48.');
  });
  test('a limit that is another field’s is told by its figure, and not while that one is none', () => {
    const pair = Joi.object({
      low: Joi.number().required(),
      high: Joi.number().min(Joi.ref('low')).label('the strength, high').required(),
      list: Joi.array().items(Joi.object({ from: Joi.number(), to: Joi.number().greater(Joi.ref('from')) })),
    });
    const fieldsOf = (value: object) => problemOf(pair.validate(value, { abortEarly: false }).error!).fields;
    expect(fieldsOf({ low: '100', high: 50 })).toEqual({ high: 'The strength, high must be at least 100.' });
    expect(fieldsOf({ low: 'x', high: 50 })).toEqual({ low: 'This must be a number.' });
    expect(fieldsOf({ high: 50 })).toEqual({ low: 'This is missing.' });
    expect(fieldsOf({ low: 1, high: 2, list: [{}, { from: 3, to: 3 }] })).toEqual({
      'list.1.to': 'This must be above 3.',
    });
    const alone = Joi.object({ low: Joi.any(), high: Joi.number().min(Joi.ref('low')) });
    expect(problemOf(alone.validate({ low: 'x', high: 1 }).error!).message).toBe(
      'This does not go with what stands beside it.',
    );
  });
  test('a row of a list has no name either', () => {
    const { error } = Joi.object({ pieces_g: Joi.array().items(Joi.number()) }).validate({ pieces_g: [1, 'x'] });
    expect(problemOf(error!)).toMatchObject({ field: 'pieces_g.1', message: 'This must be a number.' });
  });
  test('words of its own stand', () => {
    const own = Joi.string().messages({ 'string.empty': 'Say why.' });
    expect(said(own, '')).toBe('Say why.');
  });
  test('a fault that has no words here is told without the name', () => {
    expect(said(Joi.string().pattern(/^a/), 'b')).not.toMatch(/length_mm/);
  });
  test('a refusal of no field in particular names none', () => {
    const { error } = Joi.object({ a: Joi.number() }).or('a', 'b').validate({});
    expect(error && problemOf(error)).toMatchObject({ code: 'bad-field', field: '' });
    expect(problemOf(new Joi.ValidationError('nothing was sent', [], {}))).toEqual({
      code: 'bad-field',
      message: expect.stringMatching(/^Nothing was sent/),
      field: undefined,
      fields: {},
    });
  });
  test('each field has its own sentence, by its path', () => {
    const { error } = Joi.object({ a: Joi.number(), b: Joi.string() }).validate(
      { a: 'x', b: '' },
      { abortEarly: false },
    );
    expect(problemOf(error!)).toMatchObject({
      code: 'bad-field',
      field: 'a',
      fields: { a: 'This must be a number.', b: 'This is empty.' },
    });
  });
});
