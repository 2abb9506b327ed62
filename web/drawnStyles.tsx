import { createCache, extractStyle, StyleProvider } from '@ant-design/cssinjs';
import {
  Button,
  Checkbox,
  ConfigProvider,
  DatePicker,
  Form,
  Image,
  Input,
  InputNumber,
  Modal,
  Popover,
  Progress,
  Radio,
  Segmented,
  Select,
  Table,
  TimePicker,
  Upload,
} from 'antd';
import { renderToString } from 'react-dom/server';
import type { Plugin } from 'vite';
import { antdTheme } from './src/theme/antd.ts';

/** One of each component that the page draws, with what belongs to it. */
const all = (
  <>
    <Button loading />
    <Checkbox.Group options={['a']} />
    <DatePicker />
    <TimePicker />
    <Form>
      <Form.Item label="a" tooltip="a">
        <Input />
      </Form.Item>
    </Form>
    <Image.PreviewGroup>
      <Image />
    </Image.PreviewGroup>
    <Input.TextArea />
    <Input.Password />
    <InputNumber />
    <Modal />
    <Popover>a</Popover>
    <Progress />
    <Radio.Group options={['a']} />
    <Segmented options={['a']} />
    <Select mode="multiple" options={[]} />
    <Table
      dataSource={Array.from({ length: 20 }, (_, key) => ({ key }))}
      columns={[{ dataIndex: 'key', sorter: true }]}
      rowSelection={{}}
      loading
    />
    <Table />
    <Upload.Dragger />
  </>
);

/** What comes along with a component and is not used: a table's filters, what stands beside a field in one frame, grey bars in place of text. */
const neverDrawn = ['dropdown', 'menu', 'tree', 'space', 'skeleton'];

/** The styles of all components as one sheet, and which folders of the package they are of. Colours and sizes are variables of the page. */
export function drawStyles(variant: Parameters<typeof antdTheme>[0]): { css: string; of: ReadonlySet<string> } {
  const cache = createCache();
  renderToString(
    <StyleProvider cache={cache}>
      <ConfigProvider theme={{ ...antdTheme(variant), hashed: false }}>{all}</ConfigProvider>
    </StyleProvider>,
  );
  // How a link looks is said by the page's own sheet.
  for (const key of cache.cache.keys()) if (key.startsWith('style%%Shared')) cache.cache.delete(key);
  const names = [...cache.cache.keys()].flatMap((key) => /^style%%([A-Za-z]+)-/.exec(key)?.[1] ?? []);
  const folder = (name: string) => name.replace(/(?<=[a-z])(?=[A-Z])/g, '-').toLowerCase();
  return { css: extractStyle(cache, { plain: true, types: 'style' }), of: new Set(names.map(folder)) };
}

const name = 'virtual:drawn-styles.css';

/**
 * Draws the styles of the components while the page is built: on a phone, to draw them in the page took a sixth of each start. Fails where the
 * page holds a component that was not drawn here.
 */
export function drawnStyles(): Plugin {
  const drawn = drawStyles('day');
  return {
    name: 'drawn-styles',
    resolveId: (id) => (id === name ? `\0${name}` : undefined),
    load: (id) => (id === `\0${name}` ? (process.env['NODE_ENV'] === 'production' ? drawn.css : '') : undefined),
    generateBundle(_, bundle) {
      const held = Object.values(bundle).flatMap((one) => (one.type === 'chunk' ? Object.keys(one.modules) : []));
      const styled = new Set(held.flatMap((id) => /\/antd\/es\/([a-z-]+)\/style\//.exec(id)?.[1] ?? []));
      const missing = [...styled].filter((one) => !drawn.of.has(one) && !neverDrawn.includes(one));
      if (missing.length > 0) this.error(`drawnStyles.tsx draws no ${missing.join(', ')}.`);
    },
  };
}
