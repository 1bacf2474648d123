import { redirect } from 'next/navigation';

export default function ShelvesPage() {
  redirect('/shelves/films');
}
