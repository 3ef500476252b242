from django.db import migrations, models


class Migration(migrations.Migration):

    dependencies = [("bodies", "0003_withdraw_overtaken_readings")]

    operations = [
        migrations.AlterField(
            model_name='reading',
            name='cm',
            field=models.DecimalField(decimal_places=2, max_digits=6),
        ),
    ]
