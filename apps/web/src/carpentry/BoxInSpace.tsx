import { Canvas, useThree } from '@react-three/fiber';
import type { DesignContent } from '@yellow-cell/contract';
import { type BoxModel, deriveBox } from '@yellow-cell/core';
import { useEffect, useMemo, useRef, useState } from 'react';
import { BoxGeometry, DoubleSide, EdgesGeometry, type Mesh, Plane, Vector3 } from 'three';
import { OrbitControls } from 'three/addons/controls/OrbitControls.js';
import { Slider } from '../parts/Slider.tsx';

const MM_PER_M = 1_000;
const TONES: Readonly<Record<string, string>> = {
  wall: '#e2cc9d',
  rim: '#d9c08c',
  floor: '#d3b981',
  roof: '#caa968',
  board: '#b39257',
  cheek: '#c7a86f',
  sheet: '#cdb68a',
  sieve: '#8b8478',
  glass: '#a9c7d6',
  plug: '#77604a',
  frame: '#e9b949',
};

interface Block {
  key: string;
  kind: string;
  group: string;
  centre: [number, number, number];
  size: [number, number, number];
  /** Where it moves when the box is taken apart, per metre of the slider. */
  apart: [number, number, number];
}

/** The box in space, from the same solids as every drawing: turned, taken apart along its axes, cut open, compartments lifted out. */
export function BoxInSpace({ design }: { design: DesignContent }) {
  const model = useMemo(() => deriveBox(design), [design]);
  const blocks = useMemo(() => blocksOf(model), [model]);
  const [apart, setApart] = useState(0);
  const [cut, setCut] = useState(0);
  const [lifted, setLifted] = useState('');
  const { foot, top } = model.stack;
  const length_m = (foot.y[1] - foot.y[0]) / MM_PER_M;
  const lift = model.compartments.find(({ spaces }) => spaces[0] === lifted);
  return (
    <div className="grid gap-4 lg:grid-cols-[1fr_18rem]">
      <section
        aria-label={`The box in space, ${Math.round(apart * 100)} % taken apart`}
        className="h-[60vh] min-h-80 overflow-hidden rounded-xl border border-hairline bg-sheet"
      >
        <Canvas
          gl={{ localClippingEnabled: true }}
          camera={{ position: [0.9, 0.75, 1.1], fov: 40, near: 0.01, far: 20 }}
          frameloop="demand"
        >
          <ambientLight intensity={2.2} />
          <directionalLight position={[2, 4, 3]} intensity={2.2} />
          <group
            position={[
              -(foot.x[0] + foot.x[1]) / 2 / MM_PER_M,
              -top / 2 / MM_PER_M,
              (foot.y[0] + foot.y[1]) / 2 / MM_PER_M,
            ]}
          >
            {blocks.map((block) => (
              <BlockMesh
                key={block.key}
                block={block}
                apart={apart}
                cut_m={cut * length_m - length_m / 2}
                cutting={cut > 0}
                lift={lift?.bays.includes(block.group) ? 0.35 : 0}
              />
            ))}
          </group>
          <Controls />
        </Canvas>
      </section>
      <div>
        <Slider
          label="Taken apart"
          words={`${Math.round(apart * 100)} %`}
          least={0}
          most={100}
          value={Math.round(apart * 100)}
          onChange={(value) => setApart(value / 100)}
        />
        <Slider
          label="Cut open from the front"
          words={cut === 0 ? 'whole' : `${Math.round(cut * length_m * MM_PER_M)} mm`}
          least={0}
          most={95}
          value={Math.round(cut * 100)}
          onChange={(value) => setCut(value / 100)}
        />
        <label className="mt-2 block">
          <span className="text-sm text-soft">Frames lifted out of</span>
          <select className="field" value={lifted} onChange={({ target }) => setLifted(target.value)}>
            <option value="">none</option>
            {model.compartments
              .filter(({ frames }) => frames.length > 0)
              .map(({ name, spaces }) => (
                <option key={spaces.join()} value={spaces[0]}>
                  {name}
                </option>
              ))}
          </select>
        </label>
        <p className="mt-3 text-sm text-soft">
          Drag to turn, wheel or two fingers to come nearer. The front is at the near left. Made from the same
          solids as the drawings and checks.
        </p>
      </div>
    </div>
  );
}

function blocksOf({ solids, frames, stack }: BoxModel): Block[] {
  const middle = { x: (stack.foot.x[0] + stack.foot.x[1]) / 2, y: (stack.foot.y[0] + stack.foot.y[1]) / 2 };
  const all = [
    ...solids.map(({ id, kind, x, y, z }) => ({ id, kind: kind as string, group: '', x, y, z })),
    ...frames.map(({ id, bay, x, y, z }) => ({ id, kind: 'frame', group: bay, x, y, z })),
  ];
  return all.map(({ id, kind, group, x, y, z }, index): Block => {
    const size = [x[1] - x[0], z[1] - z[0], y[1] - y[0]].map((mm) => mm / MM_PER_M) as Block['size'];
    // Up is y there, and the back lies behind: −y, or the box would be its mirror image.
    const at = [(x[0] + x[1]) / 2, (z[0] + z[1]) / 2, -(y[0] + y[1]) / 2];
    // Walls go outward, floors down, lids up; frames and boards stay.
    const out = (own: number, centre: number): number => Math.sign(own - centre) * 0.16;
    const isWall = kind === 'wall' || kind === 'glass';
    const above = stack.bodies.filter(({ z: body }) => body[1] <= z[0] + 1e-6).length;
    return {
      key: `${id}-${index}`,
      kind,
      group,
      centre: at.map((mm) => mm / MM_PER_M) as Block['centre'],
      size,
      apart: [
        isWall && size[0] < size[2] ? out(at[0] ?? 0, middle.x) : 0,
        kind === 'floor' || kind === 'rim' || z[1] <= 0
          ? -0.16
          : kind === 'roof'
            ? 0.34
            : kind === 'sheet'
              ? 0.22
              : Math.max(0, above - 1) * 0.18,
        isWall && size[2] <= size[0] ? out(at[2] ?? 0, -middle.y) : 0,
      ],
    };
  });
}

interface BlockMeshProps {
  block: Block;
  apart: number;
  cut_m: number;
  cutting: boolean;
  lift: number;
}

function BlockMesh({ block, apart, cut_m, cutting, lift }: BlockMeshProps) {
  const mesh = useRef<Mesh>(null);
  const { invalidate } = useThree();
  const geometry = useMemo(() => new BoxGeometry(...block.size), [block.size]);
  const edges = useMemo(() => new EdgesGeometry(geometry), [geometry]);
  useEffect(
    () => () => {
      geometry.dispose();
      edges.dispose();
    },
    [geometry, edges],
  );
  const planes = useMemo(() => (cutting ? [new Plane(new Vector3(0, 0, -1), -cut_m)] : []), [cutting, cut_m]);
  const position = block.centre.map(
    (at, axis) => at + (block.apart[axis] ?? 0) * apart + (axis === 1 ? lift : 0),
  ) as [number, number, number];
  useEffect(() => invalidate());
  const clear = block.kind === 'glass';
  return (
    <mesh ref={mesh} geometry={geometry} position={position}>
      <meshLambertMaterial
        color={TONES[block.kind] ?? '#ccb88c'}
        polygonOffset
        polygonOffsetFactor={1}
        polygonOffsetUnits={1}
        transparent={clear}
        opacity={clear ? 0.4 : 1}
        clippingPlanes={planes}
        side={cutting ? DoubleSide : 0}
      />
      <lineSegments geometry={edges}>
        <lineBasicMaterial color="#4a4036" clippingPlanes={planes} />
      </lineSegments>
    </mesh>
  );
}

function Controls() {
  const { camera, gl, invalidate } = useThree();
  useEffect(() => {
    const controls = new OrbitControls(camera, gl.domElement);
    controls.addEventListener('change', () => invalidate());
    return () => controls.dispose();
  }, [camera, gl, invalidate]);
  return null;
}
