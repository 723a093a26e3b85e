"use client";
import { Plus, Trash2 } from "lucide-react";
import type { EditOp } from "@/core/design/editOps";
import { freeId } from "@/core/design/freeId";
import type { Obstacle, ObstacleKind } from "@/core/design/rig";
import { useWorkbench } from "@/store/useWorkbench";
import { view as look } from "@/store/workbench";
import * as WORDS from "@/words/panels/rig/obstacleMeasures";
import { OBSTACLE_NAMES } from "@/words/rigLabels";
import { Group } from "../../fields/Group";
import { PlaceFields } from "../../fields/PlaceFields";
import { useEdits } from "../../fields/useEdits";
import { Button } from "../../kit/Button";
import { NumberField } from "../../kit/NumberField";
import { Pick } from "../../kit/Pick";
import { TextField } from "../../kit/TextField";
import { Tick } from "../../kit/Tick";

const AT = { kind: "rig" } as const;

/** What is under the floor and in the way, each a block to be measured. */
export function ObstacleMeasures() {
  const obstacles = useWorkbench((state) => state.history!.design.obstacles);
  const rig = useWorkbench((state) => state.history!.design.rig);
  const selection = useWorkbench((state) => state.selection);
  const { insert } = useEdits();
  const picked = obstacles.find((o) => selection?.kind === "obstacle" && selection.id === o.id);
  const addObstacle = () => {
    const id = freeId("obstacle", obstacles);
    const value: Obstacle = {
      id,
      name: WORDS.crossMember,
      kind: "crossMember",
      atMm: { x: Math.round(rig.lengthMm / 2), y: -300, z: -180 },
      lengthMm: 60,
      widthMm: 600,
      heightMm: 80,
    };
    const at = { kind: "obstacle", id } as const;
    const refused = insert(at, ["obstacles"], obstacles.length, value, "addObstacle");
    if (refused === null) look({ selection: at });
  };
  return (
    <Group
      title={WORDS.underAndInTheWay}
      aside={
        <Button onClick={addObstacle}>
          <Plus size={14} aria-hidden /> {WORDS.add}
        </Button>
      }
    >
      <ul>
        {obstacles.map((o) => (
          <li key={o.id} data-part={`obstacle:${o.id}`}>
            <button
              type="button"
              aria-expanded={picked?.id === o.id}
              onClick={() => look({ selection: picked?.id === o.id ? null : { kind: "obstacle", id: o.id } })}
              className="flex min-h-7 w-full items-center justify-between rounded-[2px] px-1 text-left text-[13.5px] hover:bg-pick phone:min-h-11"
            >
              {o.name}
              <span className="text-faint">{OBSTACLE_NAMES[o.kind] === o.name ? "" : OBSTACLE_NAMES[o.kind]}</span>
            </button>
            {picked?.id === o.id && <ObstacleFields obstacle={o} />}
          </li>
        ))}
      </ul>
    </Group>
  );
}

function ObstacleFields({ obstacle }: { readonly obstacle: Obstacle }) {
  const { apply, set, remove } = useEdits();
  const at = { kind: "obstacle", id: obstacle.id } as const;
  const path = (key: string) => ["obstacles", obstacle.id, key];
  return (
    <div className="mb-2 border-l-2 border-enamel pl-2">
      <TextField label={WORDS.name} value={obstacle.name} onCommit={(value) => set(at, path("name"), value)} />
      <Pick<ObstacleKind>
        label={WORDS.kind}
        value={obstacle.kind}
        names={OBSTACLE_NAMES}
        onPick={(value) => apply({ code: "change", at, ops: listKindOps(obstacle, value) })}
      />
      {obstacle.kind === "exhaust" && (
        <Tick
          label={WORDS.aMetalShieldBeforeIt}
          value={!obstacle.bare}
          onPick={(isShielded) => (isShielded ? remove(at, path("bare")) : set(at, path("bare"), true))}
        />
      )}
      <PlaceFields part={at} />
      {(["lengthMm", "widthMm", "heightMm"] as const).map((key) => (
        <NumberField
          key={key}
          label={{ lengthMm: WORDS.length, widthMm: WORDS.width, heightMm: WORDS.height }[key]}
          value={obstacle[key]}
          quantity="length"
          onCommit={(value) => set(at, path(key), value)}
        />
      ))}
      <Button
        className="mt-1"
        onClick={() => {
          look({ selection: null });
          remove(AT, ["obstacles", obstacle.id], "removeObstacle");
        }}
      >
        <Trash2 size={14} aria-hidden /> {WORDS.takeItAway}
      </Button>
    </div>
  );
}

// A thing still called by its kind is called by the new one; a name of its own is kept.
function listKindOps({ id, name, kind }: Obstacle, to: ObstacleKind): EditOp[] {
  const set = (key: string, value: string): EditOp => ({ op: "set", path: ["obstacles", id, key], value });
  return [set("kind", to), ...(name === OBSTACLE_NAMES[kind] ? [set("name", OBSTACLE_NAMES[to])] : [])];
}
