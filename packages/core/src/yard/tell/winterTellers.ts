import { ofColony, present, type Tellers, without } from './telling.ts';

type WinterKind = 'winterPlanned' | 'winterPrepared' | 'winterDropped' | 'shortChecked';

/** What is planned for the winter of a colony stays with it until it is done, dropped, or planned anew. */
export const winterTellers: Tellers<WinterKind> = {
  winterPlanned: ofColony((colony, { box: _, colony: __, bay: ___, ...plan }, on) =>
    plan.by !== undefined && plan.by < on
      ? 'The last day for it lies before the day on which it is planned.'
      : plan.with?.colony === colony.id
        ? 'A colony cannot be joined to itself.'
        : {
            ...colony,
            winter: {
              on,
              act: plan.act,
              sugar_kg: plan.sugar_kg,
              fed_kg: 0,
              ...present({
                room: plan.room,
                to: plan.to,
                with: plan.with,
                where: plan.where,
                pushedTo: plan.pushedTo,
                by: plan.by,
                reason: plan.reason,
              }),
            },
          },
  ),

  winterPrepared: ofColony((colony, _, on) =>
    !colony.winter
      ? NOT_PLANNED
      : colony.winter.preparedOn
        ? 'That was done already.'
        : { ...colony, winter: { ...colony.winter, preparedOn: on } },
  ),

  winterDropped: ofColony((colony) => (colony.winter ? without(colony, 'winter') : NOT_PLANNED)),

  shortChecked: ofColony((colony, _, on) => ({ ...colony, shortCheckedOn: on })),
};

const NOT_PLANNED = 'Nothing is planned for the winter of these bees.';
