UPDATE `setting` SET `body` = json_set(`body`, '$.cover', json('{"sizes":true,"lightAndHeavy":true,"alternatives":3,"anchors":3}')) WHERE json_extract(`body`, '$.cover') IS NULL;
