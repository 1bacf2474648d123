import { redirect } from 'next/navigation';
import { engineAt, type EngineParams } from '@/server/engine-at';

export default async function EnginePage({ params }: EngineParams) {
  redirect(`/engines/${(await engineAt(params)).engine.id}/joints`);
}
