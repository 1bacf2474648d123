// Prints the core's figures beside the printed tables of the norms: `npm run tables`.
import { clamp, torqueFor } from '@/core/joint';
import { threadNamed } from '@/core/thread';
import { ASME_B1_1, BS_84, BS_93, ISO_898_1_COARSE, ISO_898_1_FINE } from '../test/reference/thread-tables';
import { VDI_2230_ASSEMBLY, VDI_FRICTION } from '../test/reference/vdi-2230-assembly';

const MM2_PER_IN2 = 25.4 ** 2;
let worst = { off: 0, at: '' };

function row(name: string, printed: number, found: number, digits: number): void {
  const off = (found / printed - 1) * 100;
  if (Math.abs(off) > Math.abs(worst.off)) worst = { off, at: name };
  console.log(
    `${name.padEnd(34)}${String(printed).padStart(10)}${found.toPrecision(digits).padStart(12)}${off.toFixed(2).padStart(9)} %`,
  );
}

function table(title: string, rows: () => void): void {
  worst = { off: 0, at: '' };
  console.log(
    `\n${title}\n${'row'.padEnd(34)}${'printed'.padStart(10)}${'reckoned'.padStart(12)}${'off'.padStart(11)}`,
  );
  rows();
  console.log(`largest difference ${worst.off.toFixed(2)} %, ${worst.at}`);
}

table('Stress area, mm² (ISO 898-1, coarse and fine)', () => {
  for (const [name, printed] of [...ISO_898_1_COARSE, ...ISO_898_1_FINE])
    row(name, printed, threadNamed(name).stressArea_mm2, 4);
});
table('Stress area, in² (ASME B1.1)', () => {
  for (const [name, printed] of ASME_B1_1) row(name, printed, threadNamed(name).stressArea_mm2 / MM2_PER_IN2, 4);
});
table('Effective and minor diameter, in (BS 84)', () => {
  for (const [name, effective, minor] of BS_84) {
    row(`${name}, effective`, effective, threadNamed(name).pitchDiameter_mm / 25.4, 5);
    row(`${name}, minor`, minor, threadNamed(name).minorDiameter_mm / 25.4, 5);
  }
});
table('Effective and minor diameter, mm (BS 93)', () => {
  for (const [name, effective, minor] of BS_93) {
    row(`${name}, effective`, effective, threadNamed(name).pitchDiameter_mm, 4);
    row(`${name}, minor`, minor, threadNamed(name).minorDiameter_mm, 4);
  }
});
table('Assembly preload, kN, and torque, N·m, at 90 % of yield (VDI 2230)', () => {
  for (const { thread, grade, yield_MPa, bearing, preload_kN, torque_Nm } of VDI_2230_ASSEMBLY)
    VDI_FRICTION.forEach((mu, i) => {
      const fastener = { thread: threadNamed(thread), muThread: mu, muHead: mu, bearing };
      // Equivalent stress is proportional to preload, so one step reaches 90 % of yield.
      const at = clamp(fastener, 10);
      const preload_N = (at.preload_N * 0.9 * yield_MPa) / at.equivalent_MPa;
      row(`${thread} ${grade}, μ ${mu}, preload`, preload_kN[i] ?? 0, preload_N / 1000, 4);
      row(`${thread} ${grade}, μ ${mu}, torque`, torque_Nm[i] ?? 0, torqueFor(fastener, preload_N).torque_Nm, 4);
    });
});
