import ts from 'typescript'; import fs from 'fs';
for(const a of process.argv.slice(2)){const [f,name]=a.split(':');const file='src/features/'+f;const s=ts.createSourceFile(file,fs.readFileSync(file,'utf8'),99,true,file.endsWith('x')?ts.ScriptKind.TSX:3);
const v=n=>{if(ts.isFunctionLike(n)&&n.body&&((n.name?.getText()||n.parent.name?.getText?.()||n.parent.parent?.name?.getText?.())===name)){console.log('=== '+f+' '+name);console.log(n.getText());return;}ts.forEachChild(n,v)};v(s);}
