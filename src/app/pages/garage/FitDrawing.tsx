import { type AxleBrakes, wheelFit } from '../../../model';
import { say } from '../../../text/en/say/garage';
import { linearScale } from '../../ui/charts/linearScale';

const WIDTH = 460;
const HEIGHT = 190;

/** Rotor, pads, caliper and wheel cut through at the caliper; outwards is to the right. */
export function FitDrawing({ brakes }: { brakes: AxleBrakes }) {
  const fit = wheelFit(brakes);
  const mm = (metres: number) => metres * 1000;
  const x = linearScale([-130, 110], [0, WIDTH]);
  // Only the upper part, from inside the pads to the barrel, is of interest.
  const top = mm(fit.barrelDiameter) / 2 + 14;
  const bottom = mm(fit.rotorDiameter) / 2 - 62;
  const y = linearScale([bottom, top], [HEIGHT - 6, 6]);
  const edge = mm(fit.rotorDiameter) / 2;
  const outerFace = -mm(fit.rotorDepth);
  const innerFace = outerFace - mm(fit.rotorThickness);
  const pad = mm(fit.padThickness);
  const plate = mm(fit.plateThickness);
  const middle = (outerFace + innerFace) / 2;
  const half = mm(fit.opening) / 2;
  const outside = fit.sliding ? outerFace + pad + plate : middle + half;
  const outermost = outside + mm(fit.outerBody);
  const inside = outside - mm(fit.opening);
  const innermost = inside - mm(fit.outerBody) * (fit.sliding ? 1.8 : 1);
  const spokes = mm(fit.spokes + fit.spacer);
  const box = (x0: number, x1: number, y0: number, y1: number, className: string) => (
    <rect
      x={x(Math.min(x0, x1))}
      width={Math.abs(x(x1) - x(x0))}
      y={y(Math.max(y0, y1))}
      height={Math.abs(y(y1) - y(y0))}
      className={className}
      strokeWidth={1.4}
    />
  );
  const padTop = edge - 3;
  const padBottom = edge - 48;
  const bridge = edge + mm(fit.bridge);
  const barrel = mm(fit.barrelDiameter) / 2;
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className="mt-1 block w-full"
      role="img"
      aria-label={say.sectionThroughWheelCaliper}
    >
      {box(innermost, inside, padBottom - 4, bridge, 'fill-sunk stroke-ink')}
      {box(outside, outermost, padBottom - 4, bridge, 'fill-sunk stroke-ink')}
      {box(innermost, outermost, edge + 4, bridge, 'fill-sunk stroke-ink')}
      {box(innerFace, outerFace, bottom, edge, 'fill-panel stroke-front')}
      {box(outerFace, outerFace + pad, padBottom, padTop, 'fill-dim stroke-none')}
      {box(outerFace + pad, outerFace + pad + plate, padBottom, padTop, 'fill-ink stroke-none')}
      {box(innerFace - pad, innerFace, padBottom, padTop, 'fill-dim stroke-none')}
      {box(innerFace - pad - plate, innerFace - pad, padBottom, padTop, 'fill-ink stroke-none')}
      {box(-130, spokes, barrel, barrel + 8, 'fill-rear/60 stroke-rear')}
      {box(spokes, spokes + 14, bottom, barrel + 8, 'fill-rear/60 stroke-rear')}
      <line x1={x(0)} x2={x(0)} y1={4} y2={HEIGHT} className="stroke-dim" strokeDasharray="3 4" />
      <text x={x(0) + 4} y={HEIGHT - 3} fontSize={10} className="fill-dim narrow">
        hub’s face
      </text>
      <text x={x(spokes + 18)} y={y(bottom + 30)} fontSize={10} className="fill-dim narrow">
        spokes
      </text>
      <text x={4} y={y(barrel) + 13} fontSize={10} className="fill-dim narrow">
        barrel
      </text>
    </svg>
  );
}
