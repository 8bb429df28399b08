import { useId } from 'react';
import { formatQuantity, type UnitDisplay } from '@brackenfell/core/quantities/format-quantity';
import { LEAD_BOOTS } from '@brackenfell/core/facts/lead-facts';
import { BOOT_WORDS, sayRoute } from '@brackenfell/core/leads/say-route';
import type { LeadSetShape } from '@brackenfell/contract/shapes';
import type { DrawingOf } from '@brackenfell/contract/tray';
import { layOutPlan, leadPath, towerPlaces } from './lead-plan-geometry.ts';

interface LeadPlanProps {
  readonly set: { readonly printed: string; readonly shape: LeadSetShape };
  readonly drawing: DrawingOf<'lead-set'>;
  readonly size: { readonly widthPx: number; readonly heightPx: number };
  readonly units: UnitDisplay;
}

const TABLE_PX = 236;
/** In a narrower pane the plan would be too small to read: the table says the same. */
const LEAST_PLAN_PX = 190;

/** The set's leads given to the engine's own cylinders: each lead's way, length and slack, and what is left over or missing. */
export function LeadPlan({ set, drawing, size, units }: LeadPlanProps) {
  const { routes } = drawing;
  if (!routes || !drawing.plan)
    return (
      <p className="p-4 text-soft">How this engine’s leads run is not known: lay the old ones out and measure them.</p>
    );
  const room = { widthPx: size.widthPx - TABLE_PX, heightPx: size.heightPx };
  return (
    <div className="flex" style={{ width: size.widthPx, height: size.heightPx }}>
      {room.widthPx >= LEAST_PLAN_PX && <Plan set={set} drawing={drawing} plan={drawing.plan} size={room} />}
      <Lengths set={set.shape} drawing={drawing} units={units} />
    </div>
  );
}

const cylinderOf = (to: string): number => Number(to.split(' ')[0]);

function Plan({
  set,
  drawing,
  plan,
  size,
}: Omit<LeadPlanProps, 'units'> & { readonly plan: NonNullable<DrawingOf<'lead-set'>['plan']> }) {
  const id = useId();
  const layout = layOutPlan(plan, size);
  const towers = towerPlaces(layout, drawing);
  const routes = drawing.routes!;
  const known = set.shape.leads !== null;
  const [sx, sy] = layout.source;
  const missing = routes.filter((_, i) => known && set.shape.leadFor[i] === null).map(sayRoute);
  return (
    <svg width={size.widthPx} height={size.heightPx} role="img" aria-labelledby={`${id}t ${id}d`}>
      <title id={`${id}t`}>{`Leads of ${set.printed} on the engine`}</title>
      <desc id={`${id}d`}>
        {`Firing order ${plan.firingOrder.join(', ')}. ${
          !known
            ? 'The set is not measured.'
            : missing.length === 0
              ? 'Every route is served.'
              : `Without a lead: ${missing.join(', ')}.`
        }`}
      </desc>
      {plan.banks.map((bank) => {
        const places = bank.cylinders.map((cylinder) => layout.cylinders.get(cylinder)!);
        const [first, last] = [places[0]!, places.at(-1)!];
        return (
          <g key={bank.label}>
            <rect
              x={first[0] - layout.radiusPx - 8}
              y={first[1] - layout.radiusPx - 6}
              width={last[0] - first[0] + 2 * layout.radiusPx + 16}
              height={2 * layout.radiusPx + 12}
              className="fill-slip stroke-hair"
            />
            {plan.banks.length > 1 && (
              <text
                x={last[0] + layout.radiusPx + 6}
                y={first[1] - layout.radiusPx - 9}
                textAnchor="end"
                className="halo fill-soft text-xs"
              >
                {bank.label}
              </text>
            )}
          </g>
        );
      })}
      {drawing.towers ? (
        <>
          <circle cx={sx} cy={sy} r="30" className="fill-plug stroke-peat" />
          <circle cx={sx} cy={sy} r="6" className="fill-slip stroke-peat" />
        </>
      ) : (
        <rect x={sx - 18} y={sy - 48} width="30" height="96" rx="4" className="fill-plug stroke-peat" />
      )}
      {routes.map((route, i) => {
        const from = towers.get(route.to);
        const to = layout.cylinders.get(cylinderOf(route.to));
        if (!from || !to) return null;
        const unserved = known && set.shape.leadFor[i] === null;
        return (
          <g key={route.to}>
            <path
              d={leadPath(from, to, 10 + i * 3)}
              fill="none"
              className={unserved ? 'stroke-madder' : known ? 'stroke-peat' : 'stroke-ash'}
              strokeWidth={unserved ? 1.6 : 2}
              {...(unserved || !known ? { strokeDasharray: '5 4' } : {})}
            />
            <circle cx={from[0]} cy={from[1]} r="6.5" className="fill-slip stroke-peat" />
            <text x={from[0]} y={from[1] + 4} textAnchor="middle" className="num fill-peat text-xs">
              {cylinderOf(route.to)}
            </text>
          </g>
        );
      })}
      {[...layout.cylinders].map(([cylinder, [x, y]]) => {
        const bad = routes.some(
          (route, i) => cylinderOf(route.to) === cylinder && known && set.shape.leadFor[i] === null,
        );
        return (
          <g key={cylinder}>
            <circle
              cx={x}
              cy={y}
              r={layout.radiusPx}
              className={bad ? 'fill-madder-wash stroke-madder' : 'fill-chalk stroke-peat'}
              strokeWidth="1.4"
            />
            <text x={x} y={y + 4.5} textAnchor="middle" className="num fill-peat text-xs font-semibold">
              {cylinder}
            </text>
          </g>
        );
      })}
      <text x="8" y={size.heightPx - 6} className="fill-slate text-xs">
        front at the left; fires <tspan className="num">{plan.firingOrder.join('–')}</tspan>
      </text>
      {plan.rotation && (
        <text x="8" y="14" className="fill-slate text-xs">
          rotor turns {plan.rotation}
        </text>
      )}
    </svg>
  );
}

function Lengths({ set, drawing, units }: { set: LeadSetShape; drawing: DrawingOf<'lead-set'>; units: UnitDisplay }) {
  const say = (mm: number) => formatQuantity('lead-length', mm, mm, units);
  const routes = drawing.routes!;
  return (
    <div
      className="flex-none overflow-auto border-l border-hair px-2 py-1 text-xs"
      style={{ width: TABLE_PX }}
      tabIndex={0}
      role="region"
      aria-label="Lengths of the leads"
    >
      <table className="w-full">
        <thead>
          <tr className="text-left text-slate">
            <th className="font-normal">to</th>
            <th className="text-right font-normal">route</th>
            <th className="text-right font-normal">lead</th>
            <th className="text-right font-normal">spare</th>
            <th className="pl-1.5 font-normal">boot</th>
          </tr>
        </thead>
        <tbody>
          {routes.map((route, i) => {
            const lead = set.leads?.[set.leadFor[i] ?? -1];
            return (
              <tr key={route.to} className={`border-t border-hair ${set.leads && !lead ? 'text-madder' : ''}`}>
                <td>{route.to}</td>
                <td className="num text-right whitespace-nowrap">{say(route.routedMm)}</td>
                <td className="num text-right whitespace-nowrap">
                  {lead ? say(lead.lengthMm) : set.leads ? 'none' : '?'}
                </td>
                <td className="num text-right whitespace-nowrap">{lead ? say(set.slackMm[i]!) : '–'}</td>
                <td className="pl-1.5">
                  {lead
                    ? BOOT_WORDS[lead.boot]
                    : route.boots.length === LEAD_BOOTS.length
                      ? 'any'
                      : route.boots.map((boot) => BOOT_WORDS[boot]).join('/')}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      {set.leftOver.length > 0 && (
        <p className="pt-1 text-slate">Left over: {set.leftOver.map((i) => say(set.leads![i]!.lengthMm)).join(', ')}</p>
      )}
    </div>
  );
}
