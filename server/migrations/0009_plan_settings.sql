UPDATE `setting` SET `body` = json_set(`body`, '$.serviceLevel', 0.9, '$.evenings', json('{"minutes":60,"weekdays":[1,2,3,4,5,6,7]}')) WHERE json_extract(`body`, '$.serviceLevel') IS NULL;
